/** Days as the calendar has them: text such as 2026-12-01, without a time or a zone. */

const DAY = 86_400_000;

function utc(day: string): Date {
  return new Date(`${day}T00:00:00Z`);
}

/** So many days later, or earlier. */
export function daysAfter(day: string, days: number): string {
  return new Date(utc(day).getTime() + days * DAY).toISOString().slice(0, 10);
}

/** The day of this device, by its own clock and zone. */
export function dayHere(now = new Date()): string {
  const two = (number: number) => String(number).padStart(2, '0');
  return `${String(now.getFullYear())}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** The Monday of the week that a day is in. */
export function mondayOf(day: string): string {
  return daysAfter(day, -((utc(day).getUTCDay() + 6) % 7));
}

/** Weeks from the one that a day is in, each with its seven days from Monday. */
export function weeksFrom(day: string, count: number): string[][] {
  const monday = mondayOf(day);
  return Array.from({ length: count }, (_, week) =>
    Array.from({ length: 7 }, (_, weekday) => daysAfter(monday, week * 7 + weekday)),
  );
}

/** A day in words: Tue 1 Dec. */
export function shortDay(day: string): string {
  return utc(day).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });
}

/** Its number, with the month where that begins. */
export function dayNumber(day: string): string {
  const number = String(utc(day).getUTCDate());
  return number === '1'
    ? utc(day).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' })
    : number;
}

/** Numbers in words, with runs of three and more as from–to: 1–4, 6. */
export function ranges(numbers: readonly number[]): string {
  const sorted = [...new Set(numbers)].sort((one, other) => one - other);
  const parts: string[] = [];
  for (let i = 0; i < sorted.length;) {
    let end = i;
    while (sorted[end + 1] === (sorted[end] ?? 0) + 1) {
      end++;
    }
    const [first, last] = [String(sorted[i]), String(sorted[end])];
    parts.push(...(end - i >= 2 ? [`${first}–${last}`] : sorted.slice(i, end + 1).map(String)));
    i = end + 1;
  }
  return parts.join(', ');
}

/** Numbers as somebody writes them: 1-4, 6; undefined where it is something else. */
export function readRanges(text: string): number[] | undefined {
  const numbers: number[] = [];
  for (const part of text
    .split(/[,;]/)
    .map((each) => each.trim())
    .filter((each) => each !== '')) {
    const match = /^(\d{1,3})(?:\s*[-–]\s*(\d{1,3}))?$/.exec(part);
    if (match === null) {
      return undefined;
    }
    const first = Number(match[1]);
    const last = Number(match[2] ?? match[1]);
    if (last < first) {
      return undefined;
    }
    for (let number = first; number <= last; number++) {
      numbers.push(number);
    }
  }
  return [...new Set(numbers)];
}
