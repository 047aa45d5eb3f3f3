import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { bendersFor, DIVISIONS, firstDraft, inUnit, layoutRequest } from './draft';

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
      figures: { takeUpIn: 5, radiusIn: 4.25 },
      gainIn: 2.5,
      arrowLeadIn: 0.4,
    },
    {
      id: 'b4',
      conduitId: 'three',
      label: 'Bender 4',
      figures: { takeUpIn: 6, radiusIn: 5.125 },
      gainIn: 3.1,
      arrowLeadIn: 0.4,
    },
  ],
  tolerances: [],
  cautions: [],
};

describe('the first draft', () => {
  it('is something that can be laid out with what the shed has', () => {
    const draft = firstDraft(shed, 'in');
    expect(draft.conduitId).toBe('three');
    expect(draft.benderId).toBe('b4');
    expect(DIVISIONS.some(({ value }) => value === String(draft.divisionIn))).toBe(true);
  });

  it('is in millimetres on a metric tape for who prefers them', () => {
    const draft = firstDraft(shed, 'mm');
    expect(draft.legText).toBe('450');
    expect(DIVISIONS.find(({ value }) => value === String(draft.divisionIn))?.name).toBe('1 mm');
  });
});

describe('a draft in another unit', () => {
  it('keeps its lengths, and its open end', () => {
    const draft = inUnit(firstDraft(shed, 'in'), 'mm', 17.625, undefined);
    expect(draft.legText).toBe('447.675 mm');
    expect(draft.otherLegText).toBe('');
    expect(inUnit(draft, 'in', 17.625, 22).legText).toBe('17 5/8');
    expect(inUnit(draft, 'in', 450 / 25.4, 22).legText).toBe('17.7165');
  });
});

describe('the question to the core', () => {
  it('carries conduit, bender and legs as they are', () => {
    const request = layoutRequest(shed, { ...firstDraft(shed, 'in'), placement: 'star' }, 17.625, undefined);
    expect(request).toEqual({
      method: 'chart',
      tapeDivisionIn: 0.0625,
      conduit: { outsideDiameterIn: 0.922 },
      bender: { takeUpIn: 6, radiusIn: 5.125 },
      bend: { kind: 'stub90', legIn: 17.625, otherLegIn: null, placement: 'star' },
    });
  });

  it('is not asked while the leg is no length, or the bender is gone', () => {
    expect(layoutRequest(shed, firstDraft(shed, 'in'), undefined, 22)).toBeUndefined();
    expect(layoutRequest(shed, { ...firstDraft(shed, 'in'), benderId: 'sold' }, 17, 22)).toBeUndefined();
  });

  it('knows which benders take a conduit', () => {
    expect(bendersFor(shed, 'half').map(({ label }) => label)).toEqual(['Bender 2']);
  });
});
