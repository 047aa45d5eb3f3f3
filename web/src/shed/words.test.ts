import { expect, it } from 'vitest';
import { deviceName } from './deviceName';
import { wantedQuery } from './recordWords';
import { signInNameFor } from './signInName';
import { nextYearOf } from './years';

it('makes a name to sign in with of any full name', () => {
  expect(signInNameFor('Wim Askel')).toBe('wim.askel');
  expect(signInNameFor('  Zoë  O’Brien-Åkerman ')).toBe('zoe.o.brien.akerman');
  expect(signInNameFor('王小明')).toBe('');
  expect(signInNameFor('a'.repeat(60))).toHaveLength(40);
});

it('calls a cohort what it is a year later', () => {
  expect(nextYearOf({ name: 'First year' }).name).toBe('Second year');
  expect(nextYearOf({ name: 'first year, 2026' }).name).toBe('second year, 2027');
  expect(nextYearOf({ name: 'Autumn 2026' }).name).toBe('Autumn 2027');
  expect(nextYearOf({ name: 'Tuesday evening' }).name).toBe('Tuesday evening');
  expect(nextYearOf({ name: 'Fifth year' }).name).toBe('Fifth year');
});

it('moves the days of a cohort a year on, and the last of February to the last of February', () => {
  expect(nextYearOf({ name: '', beginsOn: '2026-01-12', endsOn: '2028-02-29' })).toMatchObject({
    beginsOn: '2027-01-12',
    endsOn: '2029-02-28',
  });
  expect(nextYearOf({ name: '', beginsOn: null }).beginsOn).toBe('');
});

it('says what a browser says of itself in two words', () => {
  expect(deviceName('Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0')).toBe('Firefox on Linux');
  expect(deviceName('Mozilla/5.0 (iPad; CPU OS 18_0 like Mac OS X) AppleWebKit/605 Version/18.0 Safari/604.1')).toBe(
    'Safari on iPhone or iPad',
  );
  expect(deviceName('')).toBe('A device');
});

it('asks the record only for what was said', () => {
  expect(wantedQuery({ text: ' ', what: '', subject: 'bender', since: '2026-01-01', until: '' })).toEqual({
    subject: 'bender',
    since: '2026-01-01',
  });
});
