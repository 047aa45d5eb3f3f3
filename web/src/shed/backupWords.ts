import type { Schemas } from '../api/client';
import { moment } from './days';

const MINUTE_MILLIS = 60_000;
const HOUR_MINUTES = 60;
const DAY_HOURS = 24;
const UNITS = ['kB', 'MB', 'GB', 'TB'] as const;

/** How long ago something was, as roughly as one says it. */
export function ago(at: string, now = Date.now()): string {
  const minutes = Math.floor((now - Date.parse(at)) / MINUTE_MILLIS);
  if (minutes < 1) {
    return 'just now';
  }
  if (minutes < HOUR_MINUTES) {
    return many(minutes, 'minute');
  }
  const hours = Math.floor(minutes / HOUR_MINUTES);
  return hours < 2 * DAY_HOURS ? many(hours, 'hour') : many(Math.floor(hours / DAY_HOURS), 'day');
}

function many(count: number, of: string): string {
  return `${String(count)} ${of}${count === 1 ? '' : 's'} ago`;
}

/** How much it is, in the unit that leaves one to three figures before the point. */
export function bytesInWords(bytes: number): string {
  let value = bytes / 1000;
  let unit = 0;
  while (value >= 999.5 && unit < UNITS.length - 1) {
    value /= 1000;
    unit += 1;
  }
  return `${value < 10 ? value.toFixed(1) : value.toFixed(0)} ${UNITS[unit] ?? ''}`;
}

/** How long it took; what is shorter than a second is told by tenths. */
export function took(millis: number): string {
  return millis < 10_000 ? `${(millis / 1000).toFixed(1)} s` : `${(millis / 1000).toFixed(0)} s`;
}

/** What became of one. */
export function madeWords(made: Schemas['BackupMade']): string {
  if (made.fault !== null && made.fault !== undefined) {
    return `✕ None was made: ${made.fault}.`;
  }
  const sealed = made.sealed ? ', sealed' : '';
  const good = `● ${bytesInWords(made.bytes)}${sealed}, in ${took(made.millis)}`;
  if (made.atSecond === null || made.atSecond === undefined) {
    return `${good}.`;
  }
  return made.atSecond
    ? `${good}; at the second place, too.`
    : `${good}; ▲ not at the second place: ${made.secondFault ?? ''}.`;
}

/** What came of trying one. */
export function rehearsedWords(rehearsed: Schemas['BackupRehearsed']): string {
  const which = rehearsed.of === null || rehearsed.of === undefined ? 'One' : `The one of ${moment(rehearsed.of)}`;
  const when = moment(rehearsed.at);
  if (rehearsed.fault !== null && rehearsed.fault !== undefined) {
    return `✕ ${which} was tried on ${when} and is not good: ${rehearsed.fault}. Have another made, and tried.`;
  }
  const schools = rehearsed.schools
    .map(
      ({ name, trainees, pieces, readings }) =>
        ` ${name}: ${grouped(trainees)} trainees, ${grouped(pieces)} pieces, ${grouped(readings)} readings.`,
    )
    .join('');
  return `● ${which} was restored on ${when}, in ${took(rehearsed.millis)}: ${grouped(rehearsed.rows)} rows of ${String(rehearsed.tables)} tables counted and compared, the audit checked.${schools}`;
}

function grouped(count: number): string {
  // A number is not torn apart at the end of a line.
  return count.toLocaleString('en').replaceAll(',', '\u202f');
}
