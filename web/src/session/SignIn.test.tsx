import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { Problem } from '../api/client';
import { SignIn } from './SignIn';

afterEach(cleanup);

beforeEach(() => {
  vi.restoreAllMocks();
});

test('a code is asked for once the password was right, and goes along from then on', async () => {
  const post = vi.spyOn(api, 'POST').mockImplementation(() => {
    throw new Problem(401, 'Give the code', [{ pointer: '/code', code: 'second-factor', message: 'Give the code' }]);
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <SignIn />
    </QueryClientProvider>,
  );
  fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'oskar' } });
  fireEvent.change(screen.getByLabelText('Password'), { target: { value: 'tern-quay' } });
  expect(screen.queryByLabelText(/Code of your app/)).toBeNull();
  fireEvent.click(screen.getByText('Sign in'));
  fireEvent.change(await screen.findByLabelText(/Code of your app/), { target: { value: '123 456' } });
  expect(screen.getByRole('alert').textContent).toContain('Give the code');
  fireEvent.click(screen.getByText('Sign in'));
  expect(await screen.findByRole('alert')).toBeTruthy();
  expect(post).toHaveBeenLastCalledWith('/api/session', {
    body: { name: 'oskar', password: 'tern-quay', code: '123 456' },
  });
});
