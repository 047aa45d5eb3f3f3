import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';

type Sheet = Schemas['BenchSheet'];

/** The trainee's own column of what is looked over, before somebody is called: it costs nothing, whatever is found. */
export function OwnLook({ code, points }: { code: string; points: Sheet['lookOver'] }) {
  const client = useQueryClient();
  const send = useMutation<Sheet, Problem, { point: string; good: boolean }>({
    mutationFn: (found) =>
      body(
        api.PUT('/api/benches/{code}/looks/{key}', {
          params: { path: { code, key: newId() } },
          body: {
            points: [
              ...points.flatMap(({ point, good }) => (good == null || point === found.point ? [] : [{ point, good }])),
              found,
            ],
          },
        }),
      ),
    retry: (tries, problem) => problem.status === 0 && tries < 60,
    retryDelay: 2_000,
    onSuccess: (now) => client.setQueryData(['bench', code], now),
  });
  return (
    <section aria-label="Look it over" className="grid gap-1 border-t-2 border-base-content/60 pt-2">
      <h2 className="text-xl font-semibold">Look it over before you call</h2>
      <ul>
        {points.map(({ point, words, good }) => (
          <li key={point} className="flex items-center gap-2 border-t border-base-300 py-1 text-lg leading-tight">
            <span className="min-w-0 flex-1">{words}</span>
            {([true, false] as const).map((each) => (
              <button
                key={String(each)}
                type="button"
                aria-label={`${words}: ${each ? 'yes' : 'no'}`}
                aria-pressed={good === each}
                disabled={send.isPending}
                className={`size-11 shrink-0 rounded-field border-2 text-xl ${
                  good === each ? 'border-base-content bg-base-content text-base-100' : 'border-base-content/50'
                }`}
                onClick={() => {
                  send.mutate({ point, good: each });
                }}
              >
                {each ? '●' : '✕'}
              </button>
            ))}
          </li>
        ))}
      </ul>
      {send.error !== null && (
        <p role="alert" className="text-error">
          ✕ {send.error.message}
        </p>
      )}
    </section>
  );
}
