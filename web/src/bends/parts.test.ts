import { describe, expect, it } from 'vitest';
import { inputsOfPart, partsOf, READINGS, readParts, withoutPart, writtenParts } from './parts';

const PARTS = { legs: ['', READINGS, ''], startOffset: [''], along: ['saddle3'] };

describe('the parts of a run', () => {
  it('go by their paths, and the one of which there is only one by its name', () => {
    expect(partsOf('run', PARTS).map(({ path }) => path)).toEqual([
      'legs/0',
      'legs/1',
      'legs/2',
      'startOffset',
      'along/0',
    ]);
    expect(partsOf('stub90', PARTS)).toEqual([]);
  });

  it('ask a leg for its length, or for its two readings', () => {
    const [outright, read] = partsOf('run', PARTS).map((part) => inputsOfPart(part));
    expect(outright?.map(({ name }) => name)).toEqual(['legs/0/lengthIn', 'legs/0/playIn']);
    expect(read?.map(({ name }) => name)).toEqual(['legs/1/readFromIn', 'legs/1/readToIn', 'legs/1/playIn']);
    // A length that may be left open where there are readings has to be said where there are none.
    expect(outright?.[0]?.optional).toBe(false);
    expect(read?.map(({ label }) => label)).toEqual(['First reading, leg 2', 'Second reading, leg 2', 'Play, leg 2']);
  });

  it('are written as a request has them, and read back the same', () => {
    const sizes: Record<string, number> = {
      'legs/0/lengthIn': 30,
      'legs/0/playIn': 0,
      'legs/1/readFromIn': 12,
      'legs/1/readToIn': 41.25,
      'legs/1/playIn': 0.125,
      'legs/2/lengthIn': 20,
      'legs/2/playIn': 0,
      'startOffset/riseIn': 0.5,
      'startOffset/angleDeg': 10,
      'startOffset/firstMarkIn': 2.5,
      'along/0/heightIn': 3,
    };
    const choices: Record<string, string> = {
      'legs/0/towards': 'right',
      'legs/1/towards': 'up',
      'legs/2/towards': 'out',
      'startOffset/towards': 'in',
      'along/0/leg': '2',
      'along/0/towards': 'out',
    };
    const written = writtenParts(
      'run',
      PARTS,
      (path) => sizes[path],
      (path, options) => choices[path] ?? options[0]?.value ?? '',
    );
    expect(written.legs).toEqual([
      { lengthIn: 30, playIn: 0, towards: 'right' },
      { readFromIn: 12, readToIn: 41.25, playIn: 0.125, towards: 'up' },
      { lengthIn: 20, playIn: 0, towards: 'out' },
    ]);
    expect(written.startOffset).toEqual({ riseIn: 0.5, angleDeg: 10, firstMarkIn: 2.5, towards: 'in' });
    expect(written.along).toMatchObject([{ kind: 'saddle3', leg: 2, heightIn: 3, towards: 'out' }]);
    // An order that nobody chose is left for the core to find.
    expect(written).not.toHaveProperty('order');
    const read = readParts('run', { kind: 'run', ...written });
    expect(read.parts).toEqual(PARTS);
    expect(Object.fromEntries(read.sizes)).toMatchObject(sizes);
    expect(read.choices).toMatchObject(choices);
  });

  it('move up when one before them goes', () => {
    const texts = {
      'legs/0/lengthIn': 'a',
      'legs/1/lengthIn': 'b',
      'legs/2/lengthIn': 'c',
      riseIn: 'r',
      'startOffset/riseIn': 's',
    };
    expect(withoutPart(texts, 'legs', 1)).toEqual({
      'legs/0/lengthIn': 'a',
      'legs/1/lengthIn': 'c',
      riseIn: 'r',
      'startOffset/riseIn': 's',
    });
  });
});
