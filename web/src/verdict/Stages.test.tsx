import { fireEvent, screen, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import type { Attempt } from '../api/queries';
import type { Stage } from '../measure/stages';
import { drawnInApp } from '../testing/inApp';
import { keeping } from '../testing/keeping';
import { Stages } from './Stages';

const keep = keeping();

const off = (deviation: number): Stage['before']['off'][number] => ({
  feature: 'angle1',
  unit: 'deg',
  deviation,
  band: Math.abs(deviation) > 2 ? 'outside' : 'close',
});

function drawn(after: Stage['after']) {
  const stage: Stage = {
    id: 's',
    number: 2,
    bends: [{ bend: 1, change: 'added' }],
    takenBy: 'Runa Tolvane',
    takenAt: '2026-11-30T10:42:00Z',
    minutes: 4,
    pointsOff: 5,
    before: { points: 62.5, passed: false, off: [off(-4)] },
    after,
  };
  const attempt = {
    id: 'a',
    trainee: { fullName: 'Ada Finch' },
    plan: { marks: [{ number: 1 }] },
    bench: { stages: [stage] },
  } as unknown as Attempt;
  drawnInApp(<Stages attempt={attempt} />);
}

test('what it cost and what it brought stand side by side', () => {
  drawn({ points: 95, passed: true, off: [off(0)] });
  const text = screen.getByLabelText('Bent again').textContent;
  expect(text).toContain('Bent on, Runa Tolvane');
  expect(text).toContain('62.5 points → 95 points, 5 taken off for it; 4 min');
  const row = within(screen.getByRole('table')).getByText('Angle').closest('tr');
  expect(row?.textContent).toContain('✕ −4°');
  expect(row?.textContent).toContain('● 0°');
  expect(screen.queryByText('It was not bent again')).toBeNull();
});

test('as long as nothing is read of it, it may have been a mistake', () => {
  drawn({ points: null, passed: null, off: [] });
  expect(screen.getByLabelText('Bent again').textContent).toContain('not measured to the end');
  fireEvent.click(screen.getByText('It was not bent again'));
  expect(keep.mock.calls).toMatchObject([[{ kind: 'setAside', recordId: 's' }]]);
});
