import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import { api, body, type Problem, type Schemas } from '../api/client';
import { useMe, useOpenAttempt } from '../api/queries';

/** Where the code on a sheet leads: an instructor to measuring that piece, whoever else holds it to their own bench. */
export function SheetLink() {
  const { code = '' } = useParams();
  const me = useMe();
  if (me.error?.status === 401) {
    return <Navigate to={`/bench/${code}`} replace />;
  }
  return me.data === undefined ? (
    <p className="p-8 text-xl">{me.error?.message ?? `Opening sheet ${code}…`}</p>
  ) : (
    <Navigate to={`/measure?sheet=${encodeURIComponent(code)}`} replace />
  );
}

/** Opens the attempt at a sheet. */
export function OpenSheet({ code }: { code: string }) {
  const navigate = useNavigate();
  const sheet = useQuery<Schemas['SheetView'], Problem>({
    queryKey: ['sheet', code],
    queryFn: () => body(api.GET('/api/sheets/{code}', { params: { path: { code } } })),
    retry: false,
  });
  const { mutate, error, isIdle } = useOpenAttempt();
  useEffect(() => {
    if (sheet.data !== undefined && isIdle) {
      const { traineeId, assignmentId } = sheet.data;
      mutate(
        { traineeId, assignmentId },
        {
          onSuccess: (attempt) => {
            void navigate(`/measure/${attempt.id}`, { replace: true });
          },
        },
      );
    }
  }, [sheet.data, isIdle, mutate, navigate]);
  const problem = sheet.error ?? error;
  return problem === null ? (
    <p className="p-8 text-xl">Opening sheet {code}…</p>
  ) : (
    <p role="alert" className="p-8 text-xl">
      ✕ {problem.message}
    </p>
  );
}
