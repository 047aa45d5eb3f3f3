import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { BUTTON } from './button';

type Codes = Schemas['SheetCodes'];

/** How long the code on a sheet works, for the lead to choose. */
export function SheetDays() {
  const client = useQueryClient();
  const codes = useQuery<Codes, Problem>({
    queryKey: ['sheetCodes'],
    queryFn: () => body(api.GET('/api/sheet-codes')),
  });
  const [typed, setTyped] = useState<string>();
  const keep = useMutation<Codes, Problem, number>({
    mutationFn: (days) => body(api.PUT('/api/sheet-codes', { body: { days } })),
    onSuccess: (now) => {
      client.setQueryData(['sheetCodes'], now);
      setTyped(undefined);
    },
  });
  if (codes.data === undefined) {
    return null;
  }
  const { days, mayChange } = codes.data;
  return (
    <form
      aria-label="Codes on sheets"
      className="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 pt-3 text-lg leading-snug"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate(Number(typed));
      }}
    >
      <span>
        The code on a sheet works until{' '}
        {mayChange ? (
          <input
            type="number"
            inputMode="numeric"
            min={1}
            max={366}
            required
            aria-label="Days after the session"
            value={typed ?? days}
            onChange={(event) => {
              setTyped(event.target.value);
            }}
            className="figures mx-1 h-11 w-20 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-right text-xl"
          />
        ) : (
          <b className="figures">{days}</b>
        )}{' '}
        {typed !== undefined && typed !== String(days) && (
          <button className={`${BUTTON} mr-2`} disabled={keep.isPending}>
            Keep
          </button>
        )}
        {days === 1 && typed === undefined ? 'day' : 'days'} after it was last given, due or worked at. Once the piece
        is judged it shows the verdict alone.
      </span>
      {keep.error !== null && (
        <span role="alert" className="text-error">
          ✕ {keep.error.message}
        </span>
      )}
    </form>
  );
}
