import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { matching } from './search';

const entry = (part: Partial<Schemas['EntryView']>): Schemas['EntryView'] => ({
  id: part.title ?? '',
  exerciseId: 'x',
  version: 1,
  title: '',
  kind: 'offset',
  level: 'steady',
  tags: [],
  conduitLabel: '3/4 EMT',
  benderLabel: 'Bender 4',
  retired: false,
  given: 0,
  madeBy: 'Runa Tolvane',
  mayChange: true,
  changedAt: '2026-11-23T10:00:00Z',
  ...part,
});

const shelf = [
  entry({ title: 'Up onto the plinth', tags: ['pump room'] }),
  entry({ title: 'Over the brine pipe', kind: 'saddle3', level: 'advanced', tags: ['cold store'] }),
  entry({ title: 'Old plinth', retired: true }),
];
const titles = (wanted: Partial<Parameters<typeof matching>[1]>) =>
  matching(shelf, { text: '', kind: '', level: '', retired: false, ...wanted }).map(({ title }) => title);

describe('finding an exercise', () => {
  it('takes every word, wherever it stands', () => {
    expect(titles({ text: 'plinth pump' })).toEqual(['Up onto the plinth']);
    expect(titles({ text: 'SADDLE cold' })).toEqual(['Over the brine pipe']);
    expect(titles({ text: 'plinth brine' })).toEqual([]);
  });

  it('leaves out what was put away, unless it is asked for', () => {
    expect(titles({ text: 'plinth' })).toEqual(['Up onto the plinth']);
    expect(titles({ text: 'plinth', retired: true })).toEqual(['Up onto the plinth', 'Old plinth']);
  });

  it('narrows by kind and level', () => {
    expect(titles({ kind: 'saddle3' })).toEqual(['Over the brine pipe']);
    expect(titles({ level: 'steady' })).toEqual(['Up onto the plinth']);
  });
});
