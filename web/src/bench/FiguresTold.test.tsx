import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { api, type Schemas } from '../api/client';
import { DisplayUnitContext } from '../frame/signedIn';
import { FiguresTold } from './FiguresTold';

type Sheet = Schemas['BenchSheet'];

const sheet = (more: Partial<Sheet>) =>
  ({
    marks: 2,
    backs: [null, null],
    answersShown: true,
    own: [
      { mark: 1, text: '12 1/8', band: 'outside' },
      { mark: 2, text: '20', band: 'close' },
    ],
    cut: { text: '36 1/2', band: 'within' },
    job: { outsideDiameterIn: 0.922, divisionIn: 1 / 16 },
    ...more,
  }) as unknown as Sheet;

function shown(of: Sheet, justSent = false) {
  const asked: string[] = [];
  vi.spyOn(api, 'GET').mockImplementation(((path: string) => {
    asked.push(path);
    const data = path.endsWith('/hints')
      ? [{ about: 'mark1', words: 'Take the take-up off the leg.' }]
      : { plan: { marks: [], steps: [] }, why: [] };
    return Promise.resolve({ data, response: new Response() });
  }) as never);
  render(
    <QueryClientProvider client={new QueryClient()}>
      <DisplayUnitContext value="in">
        <FiguresTold code="AB12" sheet={of} justSent={justSent} />
      </DisplayUnitContext>
    </QueryClientProvider>,
  );
  return asked;
}

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

describe('figures that were sent', () => {
  it('says which are right, and asks for nothing before the trainee does', () => {
    const asked = shown(sheet({}));
    expect(screen.getByText('✕ look again')).toBeTruthy();
    expect(screen.getByText('● right')).toBeTruthy();
    expect(screen.getByText('◐ near enough')).toBeTruthy();
    expect(asked).toEqual([]);
  });

  it('takes the focus of whoever has just sent them, and of nobody else', () => {
    shown(sheet({}));
    expect(document.activeElement).toBe(document.body);
    cleanup();
    shown(sheet({}), true);
    expect(document.activeElement).toBe(screen.getByRole('heading', { name: 'Your figures' }));
  });

  it('gives a hint first, and the answer only after it', async () => {
    const asked = shown(sheet({}));
    const answer = screen.getByRole<HTMLButtonElement>('button', { name: 'Show the answer' });
    expect(answer.disabled).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'A hint for Mark 1' }));
    await screen.findByText('Take the take-up off the leg.');
    expect(asked).toEqual(['/api/benches/{code}/hints']);
    expect(answer.disabled).toBe(false);
    fireEvent.click(answer);
    await waitFor(() => {
      expect(asked).toContain('/api/benches/{code}/answer');
    });
  });

  it('goes on to the bends where everything is right', async () => {
    const asked = shown(sheet({ own: [{ mark: 1, text: '11 5/8', band: 'close' }], cut: null }));
    await waitFor(() => {
      expect(asked).toEqual(['/api/benches/{code}/answer']);
    });
    expect(screen.queryByRole('button', { name: 'Show the answer' })).toBeNull();
  });

  it('tells nothing of an assessment', () => {
    const asked = shown(
      sheet({ answersShown: false, own: [{ mark: 1, text: '12 1/8', band: null }], cut: { text: '36', band: null } }),
    );
    expect(screen.getByText(/assessed/)).toBeTruthy();
    expect(screen.queryByText(/look again/)).toBeNull();
    expect(screen.queryByRole('button')).toBeNull();
    expect(asked).toEqual([]);
  });
});
