import { MutationCache, QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { type ComponentType, StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Problem } from './api/client';
import { Floor } from './floor/Floor';
import { Failed } from './frame/Failed';
import { Frame } from './frame/Frame';
import './index.css';
import { noteAnswer } from './api/queries';
import { refreshBenches } from './live/benches';
import { keepNewest, refreshSoon } from './live/refresh';
import { SheetLink } from './measure/SheetLink';
import { keepForOffline } from './queue/offline';
import { rememberQueries } from './queue/known';
import { Outbox } from './queue/outbox';
import { OutboxContext } from './queue/outboxContext';

const client: QueryClient = new QueryClient({
  // Whoever is signed in no more is asked to sign in, whatever was asked for.
  queryCache: new QueryCache({
    onError: (problem, { queryKey: [key] }) => {
      if (problem instanceof Problem && problem.status === 401 && key !== 'me') {
        void client.invalidateQueries({ queryKey: ['me'] });
      }
    },
  }),
  // Somebody else signed in in another window: this one shows who it is now.
  mutationCache: new MutationCache({
    onError: (problem, _variables, _result, mutation) => {
      // Who is being asked to sign in knows that they are not, and reads what was wrong.
      if (mutation.meta?.signsIn === true) {
        return;
      }
      if (problem instanceof Problem && problem.status === 401) {
        void client.invalidateQueries({ queryKey: ['me'] });
      } else if (problem instanceof Problem && problem.errors.some(({ code }) => code === 'another-account')) {
        void client.invalidateQueries({ queryKey: ['me'] });
      }
    },
  }),
  defaultOptions: { queries: { retry: 1, networkMode: 'always' }, mutations: { networkMode: 'always' } },
});
keepNewest(client);

const OPENING = <p className="p-8">Opening…</p>;

/** A screen that comes when somebody goes there; until it is there, the one before stands. */
const later = (load: () => Promise<{ default: ComponentType }>) => ({
  lazy: async () => ({ Component: (await load()).default }),
});

const router = createBrowserRouter([
  // For whoever holds a sheet; a trainee's phone has no account.
  { path: '/sheet/:code', element: <SheetLink />, errorElement: <Failed /> },
  {
    path: '/bench/:code',
    ...later(() => import('./bench/BenchScreen')),
    errorElement: <Failed />,
    hydrateFallbackElement: OPENING,
  },
  {
    path: '/own/:code',
    ...later(() => import('./bench/OwnPage')),
    errorElement: <Failed />,
    hydrateFallbackElement: OPENING,
  },
  {
    path: '/join/:code?',
    ...later(() => import('./session/Join')),
    errorElement: <Failed />,
    hydrateFallbackElement: OPENING,
  },
  {
    element: <Frame />,
    errorElement: <Failed />,
    hydrateFallbackElement: OPENING,
    children: [
      { path: '/floor', element: <Floor /> },
      { path: '/set', ...later(() => import('./set/SetDesk')) },
      { path: '/set/library', ...later(() => import('./library/LibraryScreen')) },
      { path: '/measure', ...later(() => import('./measure/Measure')) },
      { path: '/measure/:attemptId', ...later(() => import('./measure/Measure')) },
      { path: '/verdict/:attemptId', ...later(() => import('./verdict/Verdict')) },
      { path: '/verdict/:attemptId/show', ...later(() => import('./verdict/Show')) },
      { path: '/jobs/:jobId', ...later(() => import('./job/JobScreen')) },
      { path: '/wall', ...later(() => import('./floor/Wall')) },
      { path: '/progress', ...later(() => import('./progress/Progress')) },
      { path: '/progress/:traineeId', ...later(() => import('./progress/TraineePage')) },
      { path: '/shed', ...later(() => import('./shed/ShedScreen')) },
      { path: '*', element: <Navigate to="/floor" replace /> },
    ],
  },
]);

const outbox = new Outbox({
  onAttempt: (attempt) => {
    noteAnswer(client, attempt);
    refreshBenches(client, attempt.trainee.cohortId, [attempt.trainee.id]);
    refreshSoon(client, ['progress']);
  },
  onMoved: (from, to) => {
    client.setQueryData(['moved', from], to);
  },
});

const root = document.getElementById('root');
if (root !== null) {
  const rendered = createRoot(root);
  void Promise.all([rememberQueries(client), outbox.recall()]).then(() => {
    rendered.render(
      <StrictMode>
        <QueryClientProvider client={client}>
          <OutboxContext value={outbox}>
            <RouterProvider router={router} />
          </OutboxContext>
        </QueryClientProvider>
      </StrictMode>,
    );
  });
}

void keepForOffline();
