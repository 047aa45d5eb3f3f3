import { fireEvent, screen, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import type { Attempt } from '../api/queries';
import { drawnInApp } from '../testing/inApp';
import { keeping } from '../testing/keeping';
import { Rework } from './Rework';

const keep = keeping();

function attempt(marks: number, rework: readonly unknown[]): Attempt {
  return {
    id: 'a',
    trainee: { fullName: 'Ada Finch' },
    plan: { marks: Array.from({ length: marks }, (_, i) => ({ number: i + 1 })) },
    bench: { rework },
  } as unknown as Attempt;
}

test('each bend counts how often it was eased and bent on', () => {
  const rework = [
    { id: '1', bend: 2, change: 'eased' },
    { id: '2', bend: 2, change: 'eased' },
    { id: '3', bend: 1, change: 'added' },
  ];
  drawnInApp(<Rework attempt={attempt(2, rework)} />);
  expect(within(screen.getByRole('button', { name: 'Bend 2 eased out once more' })).getByText('2')).toBeTruthy();
  expect(within(screen.getByRole('button', { name: 'Bend 1 bent on once more' })).getByText('1')).toBeTruthy();
  expect(within(screen.getByRole('button', { name: 'Bend 1 eased out once more' })).getByText('0')).toBeTruthy();
});

test('a press is one more, and the last can be taken back', () => {
  drawnInApp(<Rework attempt={attempt(1, [{ id: 'last', bend: 1, change: 'added' }])} />);
  expect(screen.getByText('The bend')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Bend 1 eased out once more' }));
  fireEvent.click(screen.getByRole('button', { name: 'Take the last one back' }));
  expect(keep.mock.calls).toMatchObject([
    [{ kind: 'fact', body: { fact: { kind: 'rework', bend: 1, change: 'eased' } } }],
    [{ kind: 'setAside', recordId: 'last', reason: 'pressed by mistake' }],
  ]);
});

test('where nothing was bent again there is nothing to take back', () => {
  drawnInApp(<Rework attempt={attempt(1, [])} />);
  expect(screen.queryByRole('button', { name: 'Take the last one back' })).toBeNull();
});
