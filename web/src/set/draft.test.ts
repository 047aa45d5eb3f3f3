import { describe, expect, it } from 'vitest';
import openapi from '../../openapi.json';
import type { Schemas } from '../api/client';
import { KINDS, kindOf } from '../bends/kinds';
import { exerciseOf, layoutRequest } from './asked';
import {
  bendersFor,
  chosen,
  DIVISIONS,
  firstDraft,
  inUnit,
  missingFrom,
  opened,
  withKind,
  withSituation,
} from './draft';

const shed: Schemas['Shed'] = {
  conduits: [
    { id: 'half', label: '1/2 EMT', figures: { outsideDiameterIn: 0.706 } },
    { id: 'three', label: '3/4 EMT', figures: { outsideDiameterIn: 0.922 } },
  ],
  benders: [
    {
      id: 'b2',
      conduitId: 'half',
      label: 'Bender 2',
      revision: 1,
      doubtful: false,
      figures: { takeUpIn: 5, radiusIn: 4.25 },
      gainIn: 2.5,
      arrowLeadIn: 0.4,
    },
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

describe('the first draft', () => {
  it('is something that can be laid out with what the shed has', () => {
    const draft = firstDraft(shed, 'in');
    expect(draft.title).toBe('Stub ninety');
    expect(draft.conduitId).toBe('three');
    expect(draft.benderId).toBe('b4');
    expect(DIVISIONS.some(({ value }) => value === String(draft.divisionIn))).toBe(true);
  });

  it('is in millimetres on a metric tape for who prefers them', () => {
    const draft = firstDraft(shed, 'mm');
    expect(draft.texts.legIn).toBe('450');
    expect(DIVISIONS.find(({ value }) => value === String(draft.divisionIn))?.name).toBe('1 mm');
  });
});

describe('a draft of another kind', () => {
  it('has a size for everything that must have one, and keeps what was typed', () => {
    const offset = withKind(firstDraft(shed, 'in'), 'offset');
    expect(offset.title).toBe('Offset');
    const typed = { ...offset, texts: { ...offset.texts, riseIn: '7' } };
    expect(withKind(typed, 'rollingOffset').texts).toMatchObject({ riseIn: '7', rollIn: '3', angleDeg: '30' });
  });

  it('begins a box offset anew: half an inch is no ordinary rise', () => {
    const box = withKind(withKind(firstDraft(shed, 'in'), 'offset'), 'boxOffset');
    expect(box.texts).toMatchObject({ riseIn: '1/2', angleDeg: '10' });
    expect(withKind(box, 'offset').texts).toMatchObject({ riseIn: '5', angleDeg: '30' });
  });

  it('keeps a title that somebody gave it', () => {
    expect(withKind({ ...firstDraft(shed, 'in'), title: 'Past the pipe' }, 'kick').title).toBe('Past the pipe');
  });
});

describe('a draft in another unit', () => {
  it('keeps its lengths, its angles and its open end', () => {
    const draft = inUnit(firstDraft(shed, 'in'), 'mm', { legIn: 17.625, otherLegIn: undefined });
    expect(draft.texts.legIn).toBe('447.675 mm');
    expect(inUnit(draft, 'in', { legIn: 17.625 }).texts.legIn).toBe('17 5/8');
    expect(inUnit(draft, 'in', { legIn: 450 / 25.4 }).texts.legIn).toBe('17.7165');
    const offset = withKind(firstDraft(shed, 'in'), 'offset');
    expect(inUnit(offset, 'mm', { riseIn: 5, angleDeg: 30 }).texts).toMatchObject({ riseIn: '127 mm', angleDeg: '30' });
  });
});

describe('the question to the core', () => {
  it('carries conduit, bender and inputs as they are', () => {
    const draft = { ...firstDraft(shed, 'in'), choices: { placement: 'star' }, texts: { otherLegIn: '' } };
    expect(layoutRequest(shed, draft, { legIn: 17.625 })).toEqual({
      method: 'chart',
      tapeDivisionIn: 0.0625,
      conduit: { outsideDiameterIn: 0.922 },
      bender: { takeUpIn: 6, radiusIn: 5.125 },
      bend: { kind: 'stub90', legIn: 17.625, otherLegIn: null, placement: 'star' },
    });
  });

  it('is not asked while an input is no size, or the bender is gone', () => {
    expect(layoutRequest(shed, firstDraft(shed, 'in'), { otherLegIn: 22 })).toBeUndefined();
    expect(layoutRequest(shed, firstDraft(shed, 'in'), { legIn: 17 })).toBeUndefined();
    expect(
      layoutRequest(shed, { ...firstDraft(shed, 'in'), benderId: 'sold' }, { legIn: 17, otherLegIn: 22 }),
    ).toBeUndefined();
  });

  it('takes the usual choice where another kind had one of the same name', () => {
    const { choices } = kindOf('offset');
    const options = choices[0]?.options ?? [];
    expect(chosen({ ...firstDraft(shed, 'in'), choices: { layout: 'nonsense' } }, 'layout', options)).toBe(
      'beforeObstacle',
    );
  });

  it('knows which benders take a conduit', () => {
    expect(bendersFor(shed, 'half').map(({ label }) => label)).toEqual(['Bender 2']);
  });
});

describe('the table of kinds', () => {
  it('has the kinds, inputs and options of the calculation interface', () => {
    const { mapping } = openapi.components.schemas.BendInput.discriminator;
    expect(KINDS.map(({ kind }) => kind).sort()).toEqual(Object.keys(mapping).sort());
    const schemas = openapi.components.schemas as unknown as Record<
      string,
      { properties: Record<string, { enum?: (string | null)[] }> }
    >;
    for (const { kind, inputs, choices, groups } of KINDS) {
      const { properties } = schemas[mapping[kind].split('/').at(-1) ?? ''] ?? { properties: {} };
      const names = [...inputs, ...choices, ...groups].map(({ name }) => name);
      expect([...names, 'kind'].sort()).toEqual(Object.keys(properties).sort());
      for (const { name, options } of choices) {
        expect(options.map(({ value }) => value)).toEqual(properties[name]?.enum?.filter((value) => value !== null));
      }
    }
  });
});

describe('a situation', () => {
  const situations = [
    { id: 'upFromBox', words: 'Up from a box', kind: 'stub90' },
    { id: 'overPipe', words: 'Over a pipe', kind: 'saddle3' },
    { id: 'roundColumn', words: 'Round a column', kind: 'saddle4' },
  ] as const;
  const [box, pipe, column] = situations;

  it('proposes its bend, its sizes and a title, until somebody gives one', () => {
    const start = firstDraft(shed, 'in');
    const first = withSituation(start, box, situations);
    expect(first).toMatchObject({ kind: 'stub90', situation: 'upFromBox', title: 'Up from a box' });
    expect(first.texts.insertionIn).toBe('5/8');
    const second = withSituation(first, pipe, situations);
    expect(second).toMatchObject({ kind: 'saddle3', title: 'Over a pipe' });
    expect(withSituation({ ...second, title: 'My own' }, column, situations).title).toBe('My own');
    // Another bend is in no such place any more, so the words of the place go too.
    expect(withKind(first, 'offset', situations)).toMatchObject({ title: 'Offset', situation: '' });
    expect(withKind({ ...first, title: 'My own' }, 'offset', situations).title).toBe('My own');
  });

  it('is left behind, with the entry it was saved as, when another bend is chosen', () => {
    const saved = { ...withSituation(firstDraft(shed, 'in'), box, situations), entry: { id: 'kept', version: 3 } };
    const other = withKind(saved, 'kick');
    expect(other.situation).toBe('');
    expect(other.entry).not.toEqual(saved.entry);
    expect(withKind(saved, 'stub90').entry).toEqual(saved.entry);
  });
});

describe('an exercise of the library', () => {
  it('comes back as it was typed, with its choices and its variation', () => {
    const draft = {
      ...withKind(firstDraft(shed, 'in'), 'offset'),
      title: 'Taken off',
      tags: 'one, two',
      choices: { layout: 'fromEdge' },
    };
    const texts = { ...draft.texts, distanceIn: '71 1/4 − 40 5/8' };
    const sizes = { riseIn: 5, angleDeg: 30, distanceIn: 30.625, clearanceIn: 0, overallIn: undefined };
    const request = layoutRequest(shed, { ...draft, texts }, sizes);
    if (request === undefined) {
      throw new Error('it can be laid out');
    }
    const variation = { seed: 9, ranges: [{ input: 'riseIn', from: 4, to: 6, step: 0.125 }] };
    const exercise = exerciseOf(shed, { ...draft, texts }, request, variation);
    expect(exercise.tags).toEqual(['one', 'two']);
    const back = opened(shed, exercise, 'in', { id: 'e', version: 2 });
    expect(back.texts.distanceIn).toBe('71 1/4 − 40 5/8');
    expect(back).toMatchObject({ kind: 'offset', title: 'Taken off', choices: { layout: 'fromEdge' } });
    expect(back.variation.ranges.riseIn).toEqual({ from: '4', to: '6', step: '1/8' });
    expect(back.benderId).toBe('b4');
    const elsewhere = opened(shed, { ...exercise, benderLabel: 'Theirs' }, 'in', { id: 'e', version: 2 });
    expect(elsewhere.conduitId).toBe('');
    expect(layoutRequest(shed, elsewhere, sizes)?.bender).toEqual(request.bender);
  });

  it('keeps the tolerances that it came with, where the shed no longer offers them', () => {
    const tolerances = { preset: 'put away', lengthIn: 0.1, angleDeg: 1, dogLegDeg: 1, passMark: 80 };
    const back = opened(shed, { title: 'Old', tolerances }, 'in', { id: 'e', version: 1 });
    const again = exerciseOf(shed, back, { tapeDivisionIn: 1 / 16 }, undefined);
    expect(again.tolerances).toEqual(tolerances);
    const other = exerciseOf(shed, { ...back, preset: 'unknown' }, { tapeDivisionIn: 1 / 16 }, undefined);
    expect(other.tolerances).toBeNull();
  });
});

describe('an exercise that was stored without all of its sizes', () => {
  const stored = (place: { situation: string; insertionIn: number | null }): Schemas['ExerciseInput'] => ({
    title: 'Up from the pump-room box',
    conduitLabel: '3/4 EMT',
    benderLabel: 'Bender 4',
    definition: {
      method: 'chart',
      tapeDivisionIn: 1 / 16,
      conduit: { outsideDiameterIn: 0.922 },
      bender: { takeUpIn: 6, radiusIn: 5.125 },
      bend: { kind: 'stub90', legIn: 14, otherLegIn: 20 },
      place,
    },
  });
  const entry = { id: 'e', version: 1 };

  it('has the usual insertion where its place has a box', () => {
    const draft = opened(shed, stored({ situation: 'upFromBox', insertionIn: null }), 'in', entry);
    expect(draft.texts.insertionIn).toBe('5/8');
    expect(missingFrom(draft)).toEqual([]);
    expect(layoutRequest(shed, draft, { legIn: 14, otherLegIn: 20, insertionIn: 0.625 })).toBeDefined();
  });

  it('keeps the insertion that it has', () => {
    const draft = opened(shed, stored({ situation: 'upFromBox', insertionIn: 1 }), 'in', entry);
    expect(draft.texts.insertionIn).toBe('1');
  });

  it('says what is missing where there is nothing usual', () => {
    const draft = { ...firstDraft(shed, 'in'), texts: { legIn: ' ', otherLegIn: '' } };
    expect(missingFrom(draft).map(({ label }) => label)).toEqual(['Leg']);
  });
});
