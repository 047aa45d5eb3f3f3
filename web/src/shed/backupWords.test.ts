import { expect, test } from 'vitest';
import { ago, bytesInWords, took } from './backupWords';

test('how long ago is told as roughly as one says it', () => {
  const now = Date.parse('2026-12-01T12:00:00Z');
  expect(ago('2026-12-01T11:59:30Z', now)).toBe('just now');
  expect(ago('2026-12-01T11:58:59Z', now)).toBe('1 minute ago');
  expect(ago('2026-12-01T11:00:00Z', now)).toBe('1 hour ago');
  expect(ago('2026-11-29T12:01:00Z', now)).toBe('47 hours ago');
  expect(ago('2026-11-29T12:00:00Z', now)).toBe('2 days ago');
});

test('sizes have one to three figures before the point', () => {
  expect(bytesInWords(4_612_334)).toBe('4.6 MB');
  expect(bytesInWords(999_400)).toBe('999 kB');
  expect(bytesInWords(999_600)).toBe('1.0 MB');
  expect(bytesInWords(41_000_000_000)).toBe('41 GB');
});

test('what is short is told by tenths of a second', () => {
  expect(took(812)).toBe('0.8 s');
  expect(took(14_200)).toBe('14 s');
});
