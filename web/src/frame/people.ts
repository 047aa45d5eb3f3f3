/** People as they are called among others: by name, and by their bench too where somebody else has the same name. */
export function toldApart<T extends { fullName: string; bench: number }>(people: readonly T[]): (person: T) => string {
  const times = new Map<string, number>();
  for (const { fullName } of people) {
    const name = fullName.toLowerCase();
    times.set(name, (times.get(name) ?? 0) + 1);
  }
  return ({ fullName, bench }) =>
    (times.get(fullName.toLowerCase()) ?? 0) > 1 ? `${fullName}, bench ${String(bench)}` : fullName;
}

/** Somebody with the cohort that they are in. */
export interface Found {
  id: string;
  fullName: string;
  bench: number;
  cohort: string;
}

interface Cohort {
  name: string;
  trainees: readonly { id: string; fullName: string; bench: number }[];
}

/** Those who have all the words that are typed in their name; whose name begins with them come first. Nobody for nothing. */
export function found(cohorts: readonly Cohort[], wanted: string): Found[] {
  const words = plain(wanted)
    .split(/\s+/)
    .filter((word) => word !== '');
  if (words.length === 0) {
    return [];
  }
  return cohorts
    .flatMap(({ name, trainees }) => trainees.map(({ id, fullName, bench }) => ({ id, fullName, bench, cohort: name })))
    .filter(({ fullName }) => words.every((word) => plain(fullName).includes(word)))
    .sort(
      (one, other) =>
        Number(plain(other.fullName).startsWith(words[0] ?? '')) -
          Number(plain(one.fullName).startsWith(words[0] ?? '')) || one.fullName.localeCompare(other.fullName),
    );
}

/** Letters without case and accents: nobody looks for the key of an ø in a noisy shed. */
function plain(text: string): string {
  return text.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');
}
