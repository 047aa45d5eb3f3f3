import { fireEvent, screen, waitFor } from '@testing-library/react';
import * as core from 'bench-core';
import { beforeEach, expect, test, vi } from 'vitest';
import type { Attempt } from '../api/queries';
import * as benchCore from '../benchcore/useBenchCore';
import { drawnInApp } from '../testing/inApp';
import { keeping } from '../testing/keeping';
import { FloorNote } from './FloorNote';

const keep = keeping();
const onProtractor = vi.fn<(by: boolean) => void>();

beforeEach(() => {
  vi.spyOn(benchCore, 'useBenchCore').mockReturnValue(core);
  onProtractor.mockReset();
});

function note(floor: object | null, protractor = false) {
  const attempt = { id: 'a', trainee: { fullName: 'Ada Finch', bench: 3 }, bench: { floor } } as unknown as Attempt;
  drawnInApp(<FloorNote attempt={attempt} protractor={protractor} onProtractor={onProtractor} />);
}

test('the floor is read once, for the bench', async () => {
  note(null);
  fireEvent.click(screen.getByRole('button', { name: 'Floor…' }));
  const field = screen.getByLabelText(/The level on the floor reads/);
  expect(document.activeElement).toBe(field);
  fireEvent.change(field, { target: { value: '- 1/2' } });
  fireEvent.click(screen.getByRole('button', { name: 'Keep the floor' }));
  expect(keep.mock.calls).toMatchObject([
    [{ kind: 'fact', body: { fact: { kind: 'floor', text: '- 1/2', bench: true } } }],
  ]);
  await waitFor(() => {
    expect(screen.queryByRole('button', { name: 'Keep the floor' })).toBeNull();
  });
});

test.each([
  ['flat', 'is not part of'],
  ['12', 'lay the level on the floor'],
])('what is no floor, %s, is not kept, and it is said why', (text, why) => {
  note(null);
  fireEvent.click(screen.getByRole('button', { name: 'Floor…' }));
  fireEvent.change(screen.getByLabelText(/The level on the floor reads/), { target: { value: text } });
  fireEvent.click(screen.getByRole('button', { name: 'Keep the floor' }));
  expect(keep).not.toHaveBeenCalled();
  expect(screen.getByRole('alert').textContent).toContain(why);
});

test('whoever reads by protractor says so', () => {
  note({ deg: 0.5, text: '+½' });
  const level = screen.getByLabelText('by level, floor +0.5° off');
  expect((level as HTMLInputElement).checked).toBe(true);
  fireEvent.click(level);
  expect(onProtractor).toHaveBeenCalledWith(true);
});
