import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { BUTTON } from './button';

/** Takes back what was given out, as long as nothing of it was measured: asked once, then done. */
export function TakeBack({ given, onDone }: { given: Schemas['GivenView']; onDone?: () => void }) {
  const client = useQueryClient();
  const [asked, setAsked] = useState(false);
  const take = useMutation<Schemas['GivenView'][], Problem>({
    mutationFn: () => body(api.DELETE('/api/givings/{id}', { params: { path: { id: given.id } } })),
    onSuccess: (left) => {
      client.setQueryData(['givings'], left);
      void client.invalidateQueries({ queryKey: ['givings'] });
      void client.invalidateQueries({ queryKey: ['floor'] });
      onDone?.();
    },
    onError: () => {
      setAsked(false);
    },
  });
  return (
    <>
      <button
        type="button"
        className={BUTTON}
        aria-label={asked ? `Really take back ${given.title}` : `Take back ${given.title}`}
        disabled={take.isPending}
        onClick={() => {
          if (asked) {
            take.mutate();
          } else {
            setAsked(true);
          }
        }}
      >
        {asked ? 'Really?' : 'Take back'}
      </button>
      {take.error !== null && (
        <span role="alert" className="w-full text-base text-error">
          ✕ {take.error.message}
        </span>
      )}
    </>
  );
}
