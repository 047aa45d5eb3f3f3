const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth'];

/** What a cohort is called a year later, and when it begins and ends then: the next year in words or figures, dates a year on. */
export function nextYearOf(cohort: { name: string; beginsOn?: string | null; endsOn?: string | null }): {
  name: string;
  beginsOn: string;
  endsOn: string;
} {
  return {
    name: nextName(cohort.name),
    beginsOn: aYearOn(cohort.beginsOn),
    endsOn: aYearOn(cohort.endsOn),
  };
}

function nextName(name: string): string {
  const years = name.replace(/\b20\d\d\b/g, (year) => String(Number(year) + 1));
  const word = ORDINALS.findIndex((ordinal) => new RegExp(`\\b${ordinal}\\b`, 'i').test(years));
  const here = ORDINALS[word];
  const next = ORDINALS[word + 1];
  if (here === undefined || next === undefined) {
    return years;
  }
  return years.replace(new RegExp(`\\b${here}\\b`, 'i'), (found) =>
    found.startsWith(here.charAt(0).toUpperCase()) ? next.charAt(0).toUpperCase() + next.slice(1) : next,
  );
}

/** The last of February, a year on, is the last of February. */
function aYearOn(date: string | null | undefined): string {
  if (date == null || date === '') {
    return '';
  }
  const [year = '', month = '', day = ''] = date.split('-');
  return `${String(Number(year) + 1)}-${month}-${month === '02' && day === '29' ? '28' : day}`;
}
