import { cleanup, fireEvent, screen } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { drawnInApp } from '../testing/inApp';
import { type Draft, firstDraft, withKind } from './draft';
import { fieldsOf } from './deskFields';
import { legsOf } from './run';
import { RunInputs } from './RunInputs';
import { RunTools } from './RunTools';
import type { Desk } from './useDesk';

const shed: Schemas['Shed'] = {
  conduits: [],
  benders: [],
  tolerances: [],
  usual: { unit: 'in', divisionIn: 1 / 16, preset: 'site' },
};

const onDrawn = vi.fn<(number: number) => void>();

const onDraft = vi.fn<(draft: Draft) => void>();

/** As it is now. */
const now = () => onDraft.mock.lastCall?.[0] ?? withKind(firstDraft(shed, 'in'), 'run');

function Drawn({ inputs = false }: { inputs?: boolean }) {
  const [draft, setDraft] = useState(() => withKind(firstDraft(shed, 'in'), 'run'));
  useEffect(() => {
    onDraft(draft);
  }, [draft]);
  const desk = {
    draft,
    change: (_: string, next: (before: Draft) => Draft) => {
      setDraft(next);
    },
    sizes: Object.fromEntries(
      Object.entries(draft.texts).map(([name, text]) => [name, text === '' ? undefined : Number(text)]),
    ),
    problems: {},
    problem: null,
    request: undefined,
  } as unknown as Desk;
  return (
    <>
      <RunTools desk={desk} padRef={null} onDrawn={onDrawn} />
      {inputs && <RunInputs desk={desk} fields={fieldsOf(desk)} />}
    </>
  );
}

afterEach(() => {
  cleanup();
  onDrawn.mockReset();
  onDraft.mockReset();
});

const pad = () => screen.getByRole('group', { name: /Draw the run leg by leg/ });
const ways = () => legsOf(now()).map(({ towards }) => towards);

describe('drawing a run', () => {
  it('goes by the arrow keys, Page Up and Page Down, and asks for the length of each leg', () => {
    drawnInApp(<Drawn />);
    for (const key of ['ArrowRight', 'ArrowUp', 'PageDown', 'ArrowDown', 'PageUp', 'ArrowLeft']) {
      fireEvent.keyDown(pad(), { key });
    }
    expect(ways()).toEqual(['right', 'up', 'out', 'down', 'in', 'left']);
    expect(onDrawn.mock.calls.map(([number]) => number)).toEqual([1, 2, 3, 4, 5, 6]);
  });

  it('refuses a leg that does not turn off square, with why', () => {
    drawnInApp(<Drawn />);
    fireEvent.click(screen.getByRole('button', { name: 'Next leg up' }));
    fireEvent.click(screen.getByRole('button', { name: 'Next leg down' }));
    expect(ways()).toEqual(['up']);
    expect(screen.getByRole('status').textContent).toContain('Leg 1 runs up: the next turns off square');
    fireEvent.keyDown(pad(), { key: 'Backspace' });
    expect(ways()).toEqual([]);
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('leaves keys alone that are for something else', () => {
    drawnInApp(<Drawn />);
    fireEvent.keyDown(pad(), { key: 'ArrowRight', altKey: true });
    fireEvent.keyDown(pad(), { key: 's' });
    expect(ways()).toEqual([]);
    expect(now().parts.startOffset ?? []).toEqual([]);
  });

  it('puts an offset at either box, and takes it away', () => {
    drawnInApp(<Drawn />);
    fireEvent.keyDown(pad(), { key: 'ArrowRight' });
    fireEvent.keyDown(pad(), { key: 's' });
    fireEvent.click(screen.getByRole('button', { name: 'Box offset at the end' }));
    expect([now().parts.startOffset, now().parts.endOffset]).toEqual([[''], ['']]);
    expect(screen.getByRole('button', { name: 'Box offset at the start' }).getAttribute('aria-pressed')).toBe('true');
    fireEvent.keyDown(pad(), { key: 'S' });
    expect(now().parts.startOffset).toEqual([]);
  });
});

describe('the list of a run', () => {
  function twoLegs() {
    drawnInApp(<Drawn inputs />);
    fireEvent.keyDown(pad(), { key: 'ArrowRight' });
    fireEvent.keyDown(pad(), { key: 'ArrowUp' });
    fireEvent.change(screen.getByLabelText('Leg 1'), { target: { value: '24' } });
    fireEvent.change(screen.getByLabelText('Leg 2'), { target: { value: '30' } });
  }

  it('has a leg by two readings of one surface, with what they come to', () => {
    twoLegs();
    const [, second] = screen.getAllByLabelText('two readings');
    fireEvent.click(second as HTMLElement);
    fireEvent.change(screen.getByLabelText('First reading, leg 2'), { target: { value: '12' } });
    fireEvent.change(screen.getByLabelText('Second reading, leg 2'), { target: { value: '47' } });
    expect(screen.queryByLabelText('Leg 2')).toBeNull();
    expect(screen.getByText('35')).toBeDefined();
  });

  it('puts a saddle on a leg, with what it asks for, square to the leg', () => {
    twoLegs();
    fireEvent.change(screen.getByLabelText('On leg 2'), { target: { value: 'saddle3' } });
    expect(screen.getByLabelText('Height on leg 2')).toBeDefined();
    const moves = screen.getByLabelText('Conduit moves');
    expect([...moves.querySelectorAll('option')].map(({ value }) => value)).toEqual(['right', 'left', 'out', 'in']);
    fireEvent.change(screen.getByLabelText('On leg 2'), { target: { value: '' } });
    expect(screen.queryByLabelText('Height on leg 2')).toBeNull();
  });

  it('offers a leg only the ways that are square to its neighbours', () => {
    twoLegs();
    const runs = screen.getByLabelText('Leg 2 runs');
    expect([...runs.querySelectorAll('option')].map(({ value }) => value)).toEqual(['up', 'down', 'out', 'in']);
    fireEvent.change(runs, { target: { value: 'in' } });
    expect(ways()).toEqual(['right', 'in']);
  });

  it('puts things into the room with sizes that are usual there, and takes them away', () => {
    twoLegs();
    fireEvent.change(screen.getByLabelText('In the room'), { target: { value: 'column' } });
    fireEvent.change(screen.getByLabelText('Left edge'), { target: { value: '-8' } });
    expect(now().room).toMatchObject([{ kind: 'column', texts: { rightIn: '-8', heightIn: '72' } }]);
    fireEvent.click(screen.getByRole('button', { name: 'Take the column away' }));
    expect(now().room).toEqual([]);
  });
});
