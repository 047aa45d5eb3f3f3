import type { Schemas } from '../api/client';

/** An exercise of the library, made by whoever is signed in. */
export function onTheShelf(part: Partial<Schemas['EntryView']>): Schemas['EntryView'] {
  return {
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
  };
}
