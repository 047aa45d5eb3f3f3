import { MutationCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Problem } from './api/client';
import { Floor } from './floor/Floor';
import { Failed } from './frame/Failed';
import { Frame } from './frame/Frame';
import './index.css';
import { refreshBenches } from './live/benches';
import { keepNewest, refreshSoon } from './live/refresh';
import { SheetLink } from './measure/SheetLink';
import { keepForOffline } from './queue/offline';
import { rememberQueries } from './queue/known';
import { Outbox } from './queue/outbox';
import { OutboxContext } from './queue/outboxContext';

const BenchScreen = lazy(() => import('./bench/BenchScreen'));
const Wall = lazy(() => import('./floor/Wall'));
// With the drawings; the browser has them ready before somebody walks to a bench.
const Measure = lazy(() => import('./measure/Measure'));
const Verdict = lazy(() => import('./verdict/Verdict'));
const Show = lazy(() => import('./verdict/Show'));
const LibraryScreen = lazy(() => import('./library/LibraryScreen'));
const SetDesk = lazy(() => import('./set/SetDesk'));
// Brings the chart library, which nobody on the floor needs to wait for.
const Progress = lazy(() => import('./progress/Progress'));
const TraineePage = lazy(() => import('./progress/TraineePage'));
const OwnPage = lazy(() => import('./bench/OwnPage'));

const client: QueryClient = new QueryClient({
  // Somebody else signed in in another window: this one shows who it is now.
  mutationCache: new MutationCache({
    onError: (problem) => {
      if (problem instanceof Problem && problem.errors.some(({ code }) => code === 'another-account')) {
        void client.invalidateQueries({ queryKey: ['me'] });
      }
    },
  }),
  defaultOptions: { queries: { retry: 1, networkMode: 'always' }, mutations: { networkMode: 'always' } },
});
keepNewest(client);

const later = (screen: React.ReactNode) => <Suspense fallback={<p className="p-8">Opening…</p>}>{screen}</Suspense>;

const router = createBrowserRouter([
  // For whoever holds a sheet; a trainee's phone has no account.
  { path: '/sheet/:code', element: <SheetLink />, errorElement: <Failed /> },
  { path: '/bench/:code', element: later(<BenchScreen />), errorElement: <Failed /> },
  { path: '/own/:code', element: later(<OwnPage />), errorElement: <Failed /> },
  {
    element: <Frame />,
    errorElement: <Failed />,
    children: [
      { path: '/floor', element: <Floor /> },
      { path: '/set', element: later(<SetDesk />) },
      { path: '/set/library', element: later(<LibraryScreen />) },
      { path: '/measure', element: later(<Measure />) },
      { path: '/measure/:attemptId', element: later(<Measure />) },
      { path: '/verdict/:attemptId', element: later(<Verdict />) },
      { path: '/verdict/:attemptId/show', element: later(<Show />) },
      { path: '/wall', element: later(<Wall />) },
      { path: '/progress', element: later(<Progress />) },
      { path: '/progress/:traineeId', element: later(<TraineePage />) },
      { path: '*', element: <Navigate to="/floor" replace /> },
    ],
  },
]);

const outbox = new Outbox({
  onAttempt: (attempt) => {
    client.setQueryData(['attempt', attempt.id], attempt);
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
  void rememberQueries(client).then(() => {
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
