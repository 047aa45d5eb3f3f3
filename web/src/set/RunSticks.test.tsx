import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { api } from '../api/client';
import type { LayoutRequest } from '../api/queries';
import { drawnInApp } from '../testing/inApp';
import * as quantities from '../benchcore/useQuantities';
import { RunSticks } from './RunSticks';

const request = { tapeDivisionIn: 1 / 16 } as LayoutRequest;

const exercise = () => ({ title: 'Round the corner' }) as Schemas['ExerciseInput'];

const answer: Schemas['DivideAnswer'] = {
  pieces: [
    { number: 1, fromIn: 0, lengthIn: 88, bends: [] },
    { number: 2, fromIn: 88, lengthIn: 115.5, bends: [] },
  ],
  cuts: [
    { lengthIn: 90, leftOver: true, pieces: [1], leftIn: 1.9375 },
    { lengthIn: 120, leftOver: false, pieces: [2], leftIn: 4.4375 },
  ],
  strapsIn: [36, 150],
  totalBendDeg: 400,
  pullBoxOnLegs: [3],
  pullFactor: 4.81,
};

const post = vi.spyOn(api, 'POST');

const get = vi.spyOn(api, 'GET');

function keptBySchool(rules: Schemas['JobRules'], conduits: unknown[] = []) {
  get.mockReset().mockImplementation(((path: string) =>
    Promise.resolve({
      data:
        path === '/api/run-rules'
          ? { rules, mayChange: false }
          : path === '/api/stock'
            ? { currency: '', conduits }
            : [],
      response: new Response(),
    })) as never);
}

beforeEach(() => {
  keptBySchool({});
  post.mockReset().mockResolvedValue({ data: answer, response: new Response() } as never);
  // The core in the browser is not loaded here.
  vi.spyOn(quantities, 'useQuantities').mockImplementation((typed) =>
    typed.map(({ text }) => ({ value: text === '1/16' ? 1 / 16 : Number(text), problem: null })),
  );
});

afterEach(cleanup);

it('says what the run is cut from, with what is left, and where it is fastened and pulled', async () => {
  drawnInApp(<RunSticks request={request} exercise={exercise} entry={{ id: 'e1' }} onGiven={vi.fn()} />);
  expect(await screen.findByText('2 pieces, 1 coupling.')).toBeDefined();
  const cuts = [...screen.getByRole('list', { name: 'Cut list' }).children].map(({ textContent }) => textContent);
  expect(cuts[0]).toContain('Left-over of 90: piece 1');
  expect(cuts[1]).toContain('Stick of 120: piece 2');
  expect(screen.getByText(/2 straps, along the conduit/).textContent).toContain('36, 150');
  expect(screen.getByText(/a box on leg 3/)).toBeDefined();
  expect(screen.getByText(/4.8 times as hard/)).toBeDefined();
});

it('asks with the centre’s own rules, and with what is left over', async () => {
  drawnInApp(<RunSticks request={request} exercise={exercise} entry={{ id: 'e1' }} onGiven={vi.fn()} />);
  await screen.findByText('2 pieces, 1 coupling.');
  fireEvent.change(screen.getByLabelText('Straps apart'), { target: { value: '96' } });
  fireEvent.change(screen.getByLabelText(/Left-overs at hand/), { target: { value: '90, 31' } });
  await vi.waitFor(() => {
    expect(post).toHaveBeenLastCalledWith('/api/calc/divide', {
      body: {
        layout: request,
        leftOversIn: [90, 31],
        strapFromFittingIn: 36,
        strapApartIn: 96,
        couplingFromArcIn: 3,
        kerfIn: 1 / 16,
      },
    });
  });
});

it('begins with what the school has kept, and lets whoever teaches keep what is left over', async () => {
  keptBySchool({ strapApartIn: 96, leftOversIn: [70.5] });
  const put = vi.spyOn(api, 'PUT').mockResolvedValue({
    data: { rules: { strapApartIn: 96, leftOversIn: [40] }, mayChange: false },
    response: new Response(),
  } as never);
  drawnInApp(<RunSticks request={request} exercise={exercise} entry={{ id: 'e1' }} onGiven={vi.fn()} />);
  expect((await screen.findByLabelText<HTMLInputElement>('Straps apart')).value).toBe('96');
  fireEvent.change(screen.getByLabelText('Straps apart'), { target: { value: '80' } });
  expect(screen.queryByRole('button', { name: /Keep this/ })).toBeNull();
  fireEvent.change(screen.getByLabelText('Straps apart'), { target: { value: '96' } });
  fireEvent.change(screen.getByLabelText(/Left-overs at hand/), { target: { value: '40' } });
  fireEvent.click(screen.getByRole('button', { name: /Keep this/ }));
  await vi.waitFor(() => {
    expect(put).toHaveBeenCalledWith('/api/run-rules', {
      body: expect.objectContaining({ strapApartIn: 96, leftOversIn: [40] }) as object,
    });
  });
});

it('takes the left-overs from the rack, the longest first as they lie there', async () => {
  keptBySchool({}, [
    {
      label: exercise().conduitLabel,
      leftOvers: [
        { lengthIn: 90, pieces: 1 },
        { lengthIn: 31, pieces: 2 },
      ],
    },
  ]);
  drawnInApp(<RunSticks request={request} exercise={exercise} entry={{ id: 'e1' }} onGiven={vi.fn()} />);
  fireEvent.click(await screen.findByText('Take the 3 from the rack'));
  expect(screen.getByLabelText<HTMLInputElement>(/Left-overs at hand/).value).toBe('90, 31, 31');
});
