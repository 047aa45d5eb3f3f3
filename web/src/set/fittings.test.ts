import { describe, expect, it } from 'vitest';
import type { Kind } from '../bends/kinds';
import type { Draft } from './draft';
import { asSum, resummed, withFittings, without } from './fittings';

const draft = (kind: Kind, texts: Record<string, string>, fitted: Draft['fitted'] = 'none') =>
  ({ kind, unit: 'in', fitted, texts: { insertionIn: '5/8', ...texts } }) as unknown as Draft;

const saddle = { heightIn: '3', centreIn: '30', overallIn: '80' };

describe('ends in fittings', () => {
  it('adds what goes in to every size that is measured to that end, and to no other', () => {
    const fitted = withFittings(draft('saddle3', saddle), 'start', 0.625);
    expect(fitted.fitted).toBe('start');
    expect(fitted.texts).toMatchObject({ heightIn: '3', centreIn: '30 + 5/8', overallIn: '80 + 5/8' });
  });

  it('adds it twice to a size between two fittings', () => {
    const fitted = withFittings(draft('saddle3', saddle), 'both', 0.625);
    expect(fitted.texts).toMatchObject({ centreIn: '30 + 5/8', overallIn: '80 + 1 1/4' });
  });

  it('leaves open what is open, and takes the sums back', () => {
    const open = withFittings(draft('saddle3', { ...saddle, overallIn: '' }), 'both', 0.625);
    expect(open.texts.overallIn).toBe('');
    expect(withFittings(open, 'none', 0.625).texts).toMatchObject({ centreIn: '30' });
  });

  it('takes the usual insertion where none was said yet', () => {
    const said = withFittings({ ...draft('saddle3', saddle), texts: saddle }, 'both', undefined);
    expect(said.texts).toMatchObject({ insertionIn: '5/8', centreIn: '30 + 5/8', overallIn: '80 + 1 1/4' });
  });

  it('keeps the two readings of a tape', () => {
    const read = draft('offset', { distanceIn: '71 1/4 − 40 5/8 − 1/8' });
    expect(withFittings(read, 'start', 0.625).texts.distanceIn).toBe('71 1/4 − 40 5/8 − 1/8 + 5/8');
  });

  it('follows another insertion, but never adds one by itself', () => {
    const fitted = { ...withFittings(draft('saddle3', saddle), 'start', 0.625) };
    const typedAnew = { ...fitted, texts: { ...fitted.texts, overallIn: '80', insertionIn: '3/4' } };
    expect(resummed(typedAnew, 0.75).texts).toMatchObject({ centreIn: '30 + 3/4', overallIn: '80' });
    expect(without(typedAnew).map(({ name }) => name)).toEqual(['overallIn']);
  });

  it('writes a size that was changed elsewhere as the same sum', () => {
    const fitted = withFittings(draft('saddle3', saddle), 'start', 0.625);
    const write = (size: number) => String(size);
    expect(asSum(fitted, 'centreIn', 24.625, { insertionIn: 0.625 }, write)).toBe('24 + 5/8');
    expect(asSum(fitted, 'heightIn', 4, { insertionIn: 0.625 }, write)).toBe('4');
    expect(asSum(fitted, 'centreIn', 0.5, { insertionIn: 0.625 }, write)).toBe('0.5');
  });

  it('knows which end each leg of a ninety goes to', () => {
    const up = withFittings(draft('stub90', { legIn: '14', otherLegIn: '22' }), 'end', 0.625);
    expect(up.texts).toMatchObject({ legIn: '14', otherLegIn: '22 + 5/8' });
  });
});
