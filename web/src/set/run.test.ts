import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { writtenParts } from '../bends/parts';
import { exerciseOf, layoutRequest } from './asked';
import { type Draft, firstDraft, inputsOf, inUnit, missingFrom, opened, withKind } from './draft';
import {
  hasOwnOrder,
  inOrder,
  inProposedOrder,
  legsOf,
  rearranged,
  roomOf,
  turnedLeg,
  waysOf,
  whyNot,
  withBoxOffset,
  withLeg,
  withOnLeg,
  withoutLastLeg,
  withReadings,
  withThing,
} from './run';

const shed: Schemas['Shed'] = {
  conduits: [{ id: 'three', label: '3/4 EMT', figures: { outsideDiameterIn: 0.922 } }],
  benders: [
    {
      id: 'b4',
      conduitId: 'three',
      label: 'Bender 4',
      revision: 1,
      doubtful: false,
      figures: { takeUpIn: 6, radiusIn: 5.125 },
      gainIn: 3.1,
      arrowLeadIn: 0.4,
    },
  ],
  tolerances: [],
  usual: { unit: 'in', divisionIn: 1 / 16, preset: 'site' },
};

const EMPTY = withKind(firstDraft(shed, 'in'), 'run');

function drawn(...ways: ('right' | 'left' | 'up' | 'down' | 'out' | 'in')[]): Draft {
  return ways.reduce((draft, towards, i) => {
    const next = withLeg(draft, towards);
    return { ...next, texts: { ...next.texts, [`legs/${String(i)}/lengthIn`]: String(20 + i) } };
  }, EMPTY);
}

/** What the texts come to, where they are whole inches or degrees. */
function sizesOf(draft: Draft): Record<string, number> {
  return Object.fromEntries(inputsOf(draft).map(({ name }) => [name, Number(draft.texts[name] ?? Number.NaN)]));
}

describe('a run that is drawn', () => {
  it('begins empty, and is not laid out before it has two legs with their lengths', () => {
    expect(legsOf(EMPTY)).toEqual([]);
    expect(layoutRequest(shed, EMPTY, sizesOf(EMPTY))).toBeUndefined();
    const one = drawn('right');
    expect(layoutRequest(shed, one, sizesOf(one))).toBeUndefined();
    const unwritten = withLeg(one, 'up');
    expect(missingFrom(unwritten).map(({ label }) => label)).toEqual(['Leg 2']);
  });

  it('turns off square at every corner, and says why not', () => {
    const draft = drawn('right');
    expect(whyNot(draft, 'left')).toContain('Leg 1 runs to the right');
    expect(withLeg(draft, 'right')).toBe(draft);
    expect(legsOf(withLeg(draft, 'in')).map(({ towards }) => towards)).toEqual(['right', 'in']);
    const full = drawn('right', 'up', 'right', 'up', 'right', 'up', 'right', 'up', 'right');
    expect(whyNot(full, 'up')).toBe('A run has at most 9 legs.');
  });

  it('is asked for with its legs, boxes and what lies on it', () => {
    const draft = withOnLeg(withBoxOffset(drawn('right', 'up', 'out'), 'startOffset'), 2, 'offset');
    const request = layoutRequest(
      shed,
      draft,
      sizesOf({ ...draft, texts: { ...draft.texts, 'startOffset/riseIn': '1', 'startOffset/firstMarkIn': '3' } }),
    );
    expect(request?.bend).toMatchObject({
      kind: 'run',
      legs: [
        { lengthIn: 20, towards: 'right' },
        { lengthIn: 21, towards: 'up' },
        { lengthIn: 22, towards: 'out' },
      ],
      startOffset: { towards: 'in' },
      along: [{ kind: 'offset', leg: 2, towards: 'out' }],
    });
  });

  it('keeps what lies on a leg square to it when the leg turns', () => {
    const draft = withOnLeg(drawn('right', 'up', 'right'), 2, 'saddle3');
    expect(draft.choices['along/0/towards']).toBe('out');
    const turned = turnedLeg(draft, 2, 'out');
    expect(turned.choices['legs/1/towards']).toBe('out');
    expect(turned.choices['along/0/towards']).not.toBe('out');
    expect(waysOf(drawn('right', 'up', 'out'), 2).map(({ towards }) => towards)).toEqual(['up', 'down']);
  });

  it('gives its last leg back with what lies on it', () => {
    const draft = withoutLastLeg(withOnLeg(drawn('right', 'up', 'right'), 3, 'saddle4'));
    expect(legsOf(draft)).toHaveLength(2);
    expect(draft.parts.along).toEqual([]);
    expect(Object.keys(draft.texts).filter((name) => name.startsWith('legs/2') || name.startsWith('along'))).toEqual(
      [],
    );
    expect(withoutLastLeg(EMPTY)).toBe(EMPTY);
  });

  it('has a leg measured by two readings, which come to the same until they are written', () => {
    const draft = withReadings(drawn('right', 'up'), 2, true, 21);
    expect([draft.texts['legs/1/readFromIn'], draft.texts['legs/1/readToIn']]).toEqual(['0', '21']);
    const back = withReadings(draft, 2, false, 21);
    expect(back.parts.legs).toEqual(['', '']);
    expect(back.texts['legs/1/lengthIn']).toBe('21');
  });

  it('takes its box offset away again', () => {
    const draft = withBoxOffset(withBoxOffset(drawn('right', 'up'), 'endOffset'), 'endOffset');
    expect(draft.parts.endOffset).toEqual([]);
    expect(inputsOf(draft).some(({ name }) => name.startsWith('endOffset'))).toBe(false);
  });
});

describe('the room of a run', () => {
  it('is asked for once all of its sizes are known', () => {
    const draft = withThing(withThing(drawn('right', 'up'), 'ceiling'), 'column');
    const sizes = sizesOf(draft);
    expect(layoutRequest(shed, draft, sizes)).toBeUndefined();
    const known = {
      ...sizes,
      'room/0/awayIn': 48,
      ...Object.fromEntries(
        ['rightIn', 'upIn', 'outIn', 'widthIn', 'heightIn', 'depthIn'].map((name, i) => [`room/1/${name}`, i]),
      ),
    };
    expect(layoutRequest(shed, draft, known)?.place?.room).toEqual([
      { kind: 'ceiling', awayIn: 48 },
      { kind: 'column', rightIn: 0, upIn: 1, outIn: 2, widthIn: 3, heightIn: 4, depthIn: 5 },
    ]);
  });

  it('is written with a minus on the other side, in either unit', () => {
    const room = roomOf(
      [{ kind: 'door', rightIn: -12.5, upIn: 0, outIn: -1, widthIn: 34, heightIn: 80, depthIn: 2 }],
      'in',
    );
    expect(room[0]?.texts).toMatchObject({ rightIn: '-12 1/2', outIn: '-1' });
    const draft = { ...drawn('right', 'up'), room };
    const metric = inUnit(draft, 'mm', { ...sizesOf(draft), 'room/0/rightIn': -10 });
    expect(metric.room[0]?.texts.rightIn).toBe('-254 mm');
  });
});

describe('a run from elsewhere', () => {
  it('that was saved opens as it was', () => {
    const draft = withReadings(withBoxOffset(drawn('right', 'up', 'out'), 'startOffset'), 2, true, 21);
    const whole = { ...draft, texts: { ...draft.texts, 'startOffset/riseIn': '1', 'startOffset/firstMarkIn': '3' } };
    const request = layoutRequest(shed, whole, sizesOf(whole));
    if (request === undefined) {
      throw new Error('it can be laid out');
    }
    const exercise = exerciseOf(shed, whole, request, undefined);
    expect(exercise.entered?.texts).toMatchObject({ 'legs/0/lengthIn': '20', 'legs/1/readToIn': '21' });
    const again = opened(shed, exercise, 'in', { id: 'x', version: 1 });
    expect(layoutRequest(shed, again, sizesOf(again))).toEqual(request);
  });

  it('that the core rearranged has its sizes written anew', () => {
    const draft = { ...drawn('right', 'up'), parts: { legs: ['', ''], order: ['', ''] } };
    const other = rearranged(draft, {
      bend: {
        kind: 'run',
        legs: [
          { lengthIn: 21, towards: 'down', playIn: 0 },
          { lengthIn: 20.5, towards: 'left', playIn: 0 },
        ],
        startInsertionIn: 0.625,
        endInsertionIn: 0,
      } as unknown as Schemas['BendInput'],
      room: [{ kind: 'ceiling', awayIn: 20 }],
    });
    expect(legsOf(other).map(({ towards }) => towards)).toEqual(['down', 'left']);
    expect(other.texts['legs/1/lengthIn']).toBe('20 1/2');
    expect(other.texts.startInsertionIn).toBe('5/8');
    expect(other.parts.order).toEqual([]);
    expect(other.room).toEqual([{ kind: 'ceiling', texts: { awayIn: '20' } }]);
  });
});

describe('an order of bending of one’s own', () => {
  const draft = inOrder(drawn('right', 'up', 'out'), [
    { bend: 2, hookTowards: 'far' },
    { bend: 1, hookTowards: 'datum' },
  ]);

  it('is written bend by bend, each with the side of its hook', () => {
    expect(hasOwnOrder(draft)).toBe(true);
    expect(partsWritten(draft)).toEqual([
      { bend: 2, hookTowards: 'far' },
      { bend: 1, hookTowards: 'datum' },
    ]);
    expect(partsWritten(drawn('right', 'up'))).toBeUndefined();
  });

  it('is the core’s to find again on request, and where other bends are made', () => {
    expect(hasOwnOrder(inProposedOrder(draft))).toBe(false);
    expect(hasOwnOrder(withLeg(draft, 'left'))).toBe(false);
    expect(hasOwnOrder(withBoxOffset(draft, 'startOffset'))).toBe(false);
  });
});

function partsWritten(draft: Draft): unknown {
  return writtenParts(
    draft.kind,
    draft.parts,
    () => 20,
    (path) => draft.choices[path] ?? '',
  ).order;
}
