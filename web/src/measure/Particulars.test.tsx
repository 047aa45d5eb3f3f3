import { fireEvent, screen } from '@testing-library/react';
import { expect, test } from 'vitest';
import type { Attempt } from '../api/queries';
import { drawnInApp } from '../testing/inApp';
import { keeping } from '../testing/keeping';
import { soon } from '../testing/soon';
import { Particulars } from './Particulars';

const keep = keeping();

function draw(bench = {}) {
  const attempt = {
    id: 'a',
    trainee: { fullName: 'Ada Finch' },
    bench: { waste: null, minutes: null, notes: [], ...bench },
  } as unknown as Attempt;
  drawnInApp(<Particulars attempt={attempt} />);
}

function type(label: string, text: string): void {
  const field = screen.getByLabelText(new RegExp(label));
  fireEvent.change(field, { target: { value: text } });
  fireEvent.submit(field);
}

test('wasted conduit goes to the server as typed, in the unit of whoever typed it', async () => {
  draw();
  await soon(() => {
    type('Wasted conduit', ' 14 3/8 ');
    expect(keep).toHaveBeenCalled();
  });
  expect(keep.mock.calls.at(-1)).toMatchObject([
    { kind: 'fact', body: { fact: { kind: 'waste', text: '14 3/8' }, bare: 'in' } },
  ]);
  await soon(() => {
    expect(screen.getByLabelText<HTMLInputElement>(/Wasted conduit/).value).toBe('');
  });
});

test('what is no length is not kept, and the reason stands beside it', async () => {
  draw();
  await soon(() => {
    type('Wasted conduit', '3/0');
    expect(screen.getByRole('alert').textContent).toContain('✕');
  });
  expect(keep).not.toHaveBeenCalled();
});

test('minutes are whole; of anything else nothing is kept', () => {
  draw({ minutes: 35 });
  expect(screen.getByText('35')).toBeTruthy();
  type('Minutes taken', 'half an hour');
  expect(keep).not.toHaveBeenCalled();
  type('Minutes taken', '42');
  expect(keep.mock.calls).toMatchObject([[{ body: { fact: { kind: 'time', minutes: 42 } } }]]);
});

test('notes are listed with who made them, and nothing empty is kept', () => {
  draw({ notes: [{ id: 'n', text: 'Asked twice', takenBy: 'Runa Tolvane' }] });
  expect(screen.getByRole('listitem').textContent).toBe('“Asked twice” Runa Tolvane');
  type('Note', '   ');
  expect(keep).not.toHaveBeenCalled();
  type('Note', 'Good second try ');
  expect(keep.mock.calls).toMatchObject([[{ body: { fact: { kind: 'note', text: 'Good second try' } } }]]);
});
