import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { drawnInApp } from '../testing/inApp';
import { onTheShelf } from '../testing/onTheShelf';
import { soon } from '../testing/soon';
import { Shelf } from './Shelf';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

type Query = Record<string, unknown>;

const asked: Query[] = [];

/** A shelf of three exercises, two to a page. */
function shelf(titles = ['Around the duct', 'Over the brine pipe', 'Up onto the plinth']) {
  asked.length = 0;
  vi.spyOn(api, 'GET').mockImplementation(((path: string, { params }: { params: { query: Query } }) => {
    asked.push({ path, ...params.query });
    const from = titles.indexOf(String(params.query.after)) + 1;
    const entries = titles.slice(from, from + 2).map((title) => onTheShelf({ title }));
    return Promise.resolve({ data: { entries, more: from + 2 < titles.length }, response: new Response() });
  }) as never);
  drawnInApp(<Shelf />);
}

const titles = () => screen.getAllByRole('rowheader').map((row) => row.querySelector('a')?.textContent);

test('more exercises come when they are asked for, after the last that is shown', async () => {
  shelf();
  fireEvent.click(await screen.findByRole('button', { name: 'More exercises' }));
  await soon(() => {
    expect(titles()).toEqual(['Around the duct', 'Over the brine pipe', 'Up onto the plinth']);
  });
  expect(asked.at(-1)).toEqual({ path: '/api/library', retired: false, after: 'Over the brine pipe' });
  expect(screen.queryByRole('button', { name: 'More exercises' })).toBeNull();
});

test('what is looked for is asked of the server, and an empty field asks for nothing', async () => {
  shelf();
  await screen.findByRole('button', { name: 'More exercises' });
  fireEvent.change(screen.getByLabelText('Find an exercise'), { target: { value: ' plinth  pump ' } });
  fireEvent.change(screen.getByLabelText('Level'), { target: { value: 'first' } });
  fireEvent.click(screen.getByLabelText('Also what was put away'));
  await soon(() => {
    expect(asked.at(-1)).toEqual({ path: '/api/library', find: 'plinth  pump', level: 'first', retired: true });
  });
});

test('all that is found is exported, not only what is shown', async () => {
  URL.createObjectURL = vi.fn(() => 'blob:x');
  shelf();
  await screen.findByRole('button', { name: 'More exercises' });
  fireEvent.change(screen.getByLabelText('Kind'), { target: { value: 'offset' } });
  fireEvent.click(screen.getByRole('button', { name: 'Export these' }));
  await soon(() => {
    expect(asked).toContainEqual({ path: '/api/library/file', kind: 'offset', retired: false });
  });
});

test('an empty shelf says how to begin, and a search that finds nothing says that', async () => {
  shelf([]);
  expect(await screen.findByText(/Nothing is on the shelf/)).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Find an exercise'), { target: { value: 'saddle' } });
  expect(await screen.findByText('Nothing here is like that.')).toBeTruthy();
});
