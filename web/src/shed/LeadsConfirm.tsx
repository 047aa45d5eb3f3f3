import { api, body } from '../api/client';
import { Beside } from '../frame/Beside';
import { useSecondFactor } from './queries';
import { useKept } from './useKept';

/** Whether the school asks its leads for a second factor. */
export function LeadsConfirm() {
  const own = useSecondFactor();
  const ask = useKept<boolean>(
    (needed) => body(api.PUT('/api/leads-confirm', { body: { needed } })),
    ['secondFactor', 'people'],
  );
  return (
    <div className="border-t border-base-300 px-4 py-2">
      <label className="flex min-h-11 items-center gap-3 text-lg">
        <input
          type="checkbox"
          className="size-5"
          disabled={own.data === undefined || ask.isPending}
          // As it was pressed, until the server has said.
          checked={ask.isPending ? ask.variables : (own.data?.leadsNeedOne ?? false)}
          onChange={(event) => {
            ask.mutate(event.target.checked);
          }}
        />
        Leads need a second factor
      </label>
      <p className="max-w-2xl text-sm leading-snug">
        A lead who has none is signed out, and may do what an instructor may until they have set one up in{' '}
        <b>Your account</b>.
      </p>
      <Beside problem={ask.error?.message} />
    </div>
  );
}
