import { cleanup, fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { drawnInApp } from '../testing/inApp';
import { soon } from '../testing/soon';
import { UsualClearance } from './UsualClearance';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

/** A desk on which only the height is typed. */
function Desk() {
  const [height, setHeight] = useState(3.25);
  const [clearance, setClearance] = useState({ text: '1', following: false });
  return (
    <>
      <button
        type="button"
        onClick={() => {
          setHeight(2.5);
        }}
      >
        lower
      </button>
      <output>{clearance.text}</output>
      <UsualClearance
        measuredIn={height}
        unit="in"
        text={clearance.text}
        following={clearance.following}
        onTake={(text, following) => {
          setClearance({ text, following });
        }}
        onFollow={(text) => {
          setClearance({ text, following: true });
        }}
      />
    </>
  );
}

test('up to the whole inch follows the height', async () => {
  vi.spyOn(api, 'GET').mockImplementation((_, options) => {
    const { measuredIn = 0 } = (options as { params: { query: { measuredIn?: number } } }).params.query;
    return Promise.resolve({
      data: {
        clearances: [
          { name: 'inch', clearanceIn: 1 },
          { name: 'wholeInch', clearanceIn: Math.ceil(measuredIn) - measuredIn },
        ],
      },
      response: new Response(),
    }) as never;
  });
  drawnInApp(<Desk />);
  await screen.findByText('Up to the whole inch');
  fireEvent.change(screen.getByLabelText('Usual clearance'), { target: { value: 'wholeInch' } });
  expect(screen.getByRole('status').textContent).toBe('3/4');
  fireEvent.click(screen.getByText('lower'));
  await soon(() => {
    expect(screen.getByRole('status').textContent).toBe('1/2');
  });
  fireEvent.change(screen.getByLabelText('Usual clearance'), { target: { value: 'inch' } });
  expect(screen.getByRole('status').textContent).toBe('1');
});
