import type { Schemas } from '../api/client';
import { kindOf } from '../bends/kinds';

type Entry = Schemas['EntryView'];

export interface Wanted {
  text: string;
  /** Empty for every kind, and for every level. */
  kind: string;
  level: string;
  /** Whether what was put away is shown as well. */
  retired: boolean;
}

/** The exercises in which every word that was typed appears: in the title, a tag, the bend, the conduit or the bender. */
export function matching(entries: readonly Entry[], { text, kind, level, retired }: Wanted): Entry[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return entries.filter((entry) => {
    const said = [entry.title, ...entry.tags, kindOf(entry.kind).name, entry.conduitLabel, entry.benderLabel]
      .join(' ')
      .toLowerCase();
    return (
      (retired || !entry.retired) &&
      (kind === '' || entry.kind === kind) &&
      (level === '' || entry.level === level) &&
      words.every((word) => said.includes(word))
    );
  });
}
