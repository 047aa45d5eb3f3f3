import { fireEvent, screen } from '@testing-library/react';
import { beforeEach, expect, test, vi } from 'vitest';
import type { Attempt } from '../api/queries';
import { drawnInApp } from '../testing/inApp';
import { keeping } from '../testing/keeping';
import { BentAgain } from './BentAgain';

const keep = keeping();

beforeEach(() => {
  HTMLDialogElement.prototype.showModal = vi.fn();
});

function attempt(
  over: { sealed?: boolean; read?: boolean; marks?: number; stages?: readonly unknown[] } = {},
): Attempt {
  const { sealed = false, read = true, marks = 2, stages = [] } = over;
  return {
    id: 'a',
    trainee: { fullName: 'Ada Finch' },
    plan: { marks: Array.from({ length: marks }, (_, i) => ({ number: i + 1 })) },
    features: [
      { id: 'mark1', reading: { value: 3 } },
      { id: 'rise', reading: read ? { value: 4 } : null },
    ],
    bench: { stages, seal: { sealed } },
  } as unknown as Attempt;
}

test('what advice says is chosen already, and opens the next stage', () => {
  drawnInApp(<BentAgain attempt={attempt({ stages: [{ id: 's', bends: [] }] })} advised={{ 2: 'eased' }} />);
  fireEvent.click(screen.getByRole('button', { name: /Bent again/ }));
  expect(screen.getByLabelText('Bend 2 eased out').getAttribute('aria-pressed')).toBe('true');
  fireEvent.click(screen.getByLabelText('Bend 1 bent on'));
  fireEvent.click(screen.getByText('Measure it anew'));
  expect(keep.mock.calls).toMatchObject([
    [
      {
        kind: 'fact',
        body: {
          fact: {
            kind: 'stage',
            number: 3,
            bends: [
              { bend: 1, change: 'added' },
              { bend: 2, change: 'eased' },
            ],
          },
        },
      },
    ],
  ]);
});

test('nothing is opened before it is said what was bent', () => {
  drawnInApp(<BentAgain attempt={attempt({ marks: 1 })} />);
  fireEvent.click(screen.getByRole('button', { name: /Bent again/ }));
  expect(screen.getByText<HTMLButtonElement>('Measure it anew').disabled).toBe(true);
  fireEvent.click(screen.getByLabelText('The bend eased out'));
  expect(screen.getByText<HTMLButtonElement>('Measure it anew').disabled).toBe(false);
});

test('a piece that is locked, or of which only rings are read, is not bent again', () => {
  drawnInApp(<BentAgain attempt={attempt({ sealed: true })} />);
  drawnInApp(<BentAgain attempt={attempt({ read: false })} />);
  expect(screen.queryByRole('button')).toBeNull();
});
