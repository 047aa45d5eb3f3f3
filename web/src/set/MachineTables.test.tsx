import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import type { Schemas } from '../api/client';
import { drawnIn } from '../testing/signedIn';
import { Curve, Tables } from './MachineTables';

afterEach(cleanup);

const fit: Schemas['MachineTestsAnswer'] = {
  springback: [{ angleDeg: 90, springbackDeg: 3.5 }],
  ramTravel: [
    { angleDeg: 31.5, travelIn: 2.625 },
    { angleDeg: 93.5, travelIn: 8.875 },
  ],
  springbackScatterDeg: 0.25,
  travelScatterIn: null,
  residuals: [],
  doubtful: null,
};

test('each table has all its rows, however many the other has', () => {
  drawnIn('in', <Tables fit={fit} />);
  const rows = within(screen.getByTestId('machine-tables')).getAllByRole('row');
  expect(rows[1]?.textContent).toContain('90°3.5°31.5°');
  expect(rows[2]?.textContent).toContain('93.5°8');
  expect(screen.getByText('±0.3°')).toBeTruthy();
  expect(screen.getByText(/seen with a few more bends/)).toBeTruthy();
});

test('the curve has a ring for every bend', () => {
  const tests = fit.ramTravel.map(({ angleDeg, travelIn }) => ({
    travelIn,
    underLoadDeg: angleDeg,
    restDeg: angleDeg,
  }));
  drawnIn('in', <Curve fit={fit} tests={tests} />);
  const drawing = screen.getByRole('img', { name: /Travel of the ram/ });
  expect(drawing.querySelectorAll('circle')).toHaveLength(2);
  expect(drawing.querySelectorAll('polyline')).toHaveLength(1);
});
