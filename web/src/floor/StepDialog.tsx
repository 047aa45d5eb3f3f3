import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { useOpenAttempt } from '../api/queries';
import { Dialog } from '../frame/Dialog';
import { STATES } from './states';

type Step = Schemas['StepView']['step'];

const STEPS: readonly Step[] = ['workingOut', 'bending', 'called', 'help'];

/** Where a trainee is, for one who has no phone at hand. */
export function StepDialog({ bench, onClose }: { bench: Schemas['BenchView']; onClose: () => void }) {
  const client = useQueryClient();
  const open = useOpenAttempt();
  const set = useMutation<unknown, Problem, Step>({
    mutationFn: async (step) => {
      const { id } = await open.mutateAsync(bench);
      const path = { id, key: newId() };
      return body(api.PUT('/api/attempts/{id}/steps/{key}', { params: { path }, body: { step } }));
    },
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['floor'] });
      onClose();
    },
  });
  const takeOff = useMutation<unknown, Problem, string>({
    mutationFn: async (id) => body(api.DELETE('/api/assignments/{id}', { params: { path: { id } } })),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['floor'] });
      onClose();
    },
  });
  const failure = set.error ?? takeOff.error;
  const { assignmentId } = bench;
  return (
    <Dialog title={bench.fullName} onClose={onClose}>
      <p className="mb-2 text-lg leading-tight">{bench.exerciseTitle}</p>
      <div className="grid gap-2">
        {STEPS.map((step) => (
          <button
            key={step}
            type="button"
            aria-pressed={bench.state === step}
            className={`flex min-h-12 items-center gap-3 rounded-field border-2 px-3 text-left text-lg ${
              bench.state === step ? 'border-base-content bg-base-content text-base-100' : 'border-base-content/60'
            }`}
            disabled={set.isPending}
            onClick={() => {
              set.mutate(step);
            }}
          >
            <span aria-hidden="true">{STATES[step].sign}</span> {STATES[step].name}
          </button>
        ))}
      </div>
      {assignmentId != null && (
        <button
          type="button"
          className="btn mt-3 h-auto min-h-11 w-full justify-start px-3 py-1 btn-ghost text-left leading-tight font-normal"
          disabled={takeOff.isPending}
          onClick={() => {
            takeOff.mutate(assignmentId);
          }}
        >
          <span aria-hidden="true">✕</span>
          <span>
            Take it off the list
            <span className="block text-sm">Nobody waits for it any more; its sheet still opens it.</span>
          </span>
        </button>
      )}
      {failure !== null && (
        <p role="alert" className="mt-2 text-error">
          ✕ {failure.message}
        </p>
      )}
    </Dialog>
  );
}
