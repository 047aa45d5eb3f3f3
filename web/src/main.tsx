import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Floor } from './floor/Floor';
import { Failed } from './frame/Failed';
import { Frame } from './frame/Frame';
import './index.css';
import { Measure } from './measure/Measure';
import { SheetLink } from './measure/SheetLink';
import { Verdict } from './verdict/Verdict';

const LibraryScreen = lazy(() => import('./library/LibraryScreen'));
const SetDesk = lazy(() => import('./set/SetDesk'));
// Brings the chart library, which nobody on the floor needs to wait for.
const Progress = lazy(() => import('./progress/Progress'));

const client = new QueryClient({
  defaultOptions: { queries: { retry: 1, networkMode: 'always' }, mutations: { networkMode: 'always' } },
});

const later = (screen: React.ReactNode) => <Suspense fallback={<p className="p-8">Opening…</p>}>{screen}</Suspense>;

const router = createBrowserRouter([
  {
    element: <Frame />,
    errorElement: <Failed />,
    children: [
      { path: '/floor', element: <Floor /> },
      { path: '/set', element: later(<SetDesk />) },
      { path: '/set/library', element: later(<LibraryScreen />) },
      { path: '/sheet/:code', element: <SheetLink /> },
      { path: '/measure', element: <Measure /> },
      { path: '/measure/:attemptId', element: <Measure /> },
      { path: '/verdict/:attemptId', element: <Verdict /> },
      { path: '/progress', element: later(<Progress />) },
      { path: '/progress/:traineeId', element: later(<Progress />) },
      { path: '*', element: <Navigate to="/floor" replace /> },
    ],
  },
]);

const root = document.getElementById('root');
if (root !== null) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </StrictMode>,
  );
}
