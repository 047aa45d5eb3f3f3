import { expect, test } from 'vitest';
import { clock, minutes } from './minutes';

test.each([
  [150, '2 min 30 s', '2:30'],
  [120, '2 min', '2:00'],
  [45, '45 s', '0:45'],
  [0, '0 s', '0:00'],
])('%i seconds are said and counted', (seconds, said, counted) => {
  expect(minutes(seconds)).toBe(said);
  expect(clock(seconds)).toBe(counted);
});
