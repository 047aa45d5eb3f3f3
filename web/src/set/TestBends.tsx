import { keepPreviousData, skipToken, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { useBenchCore } from '../benchcore/useBenchCore';
import { Dialog } from '../frame/Dialog';
import { useDisplayUnit, useSignedIn } from '../frame/signedIn';
import { Curve, Tables } from './MachineTables';
import { BLANK, readBends, sourceWords, type TypedBend, withBlank } from './testBends';

type Bender = Schemas['BenderView'];
type Fit = Schemas['MachineTestsAnswer'];

const COLUMNS = [
  { part: 'travel', name: 'Ram out', unit: 'length' },
  { part: 'underLoad', name: 'Under load', unit: '°' },
  { part: 'rest', name: 'At rest', unit: '°' },
] as const;

/** Test bends at a machine: they fill its tables of springback and travel. */
export function TestBends({ bender }: { bender: Bender }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="min-h-11 justify-self-start text-left underline underline-offset-4"
        onClick={() => {
          setOpen(true);
        }}
      >
        Test bends of {bender.label}…
      </button>
      {open && (
        <Bends
          bender={bender}
          onClose={() => {
            setOpen(false);
          }}
        />
      )}
    </>
  );
}

function Bends({ bender, onClose }: { bender: Bender; onClose: () => void }) {
  const core = useBenchCore();
  const unit = useDisplayUnit();
  const [typed, setTyped] = useState<readonly TypedBend[]>([BLANK, BLANK, BLANK]);
  const { bends, problems } = core === undefined ? { bends: [], problems: [] } : readBends(core, typed, unit);
  const tests = bends.map(({ test }) => test);
  const fit = useQuery<Fit, Problem>({
    queryKey: ['machineTests', tests],
    queryFn: tests.length === 0 ? skipToken : () => body(api.POST('/api/calc/machine-tests', { body: { tests } })),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const shown = tests.length === 0 || fit.isError ? undefined : fit.data;
  const far = shown === undefined || fit.isPlaceholderData ? undefined : bends[shown.doubtful ?? -1]?.line;
  return (
    <Dialog title={`Test bends of ${bender.label}`} wide onClose={onClose}>
      <p className="leading-snug">
        Bend a scrap to some angles that are used here, two or three times each. Of each write down how far the ram was
        out, the angle while it pushed, and the angle that stayed.
      </p>
      <div className="mt-2 grid gap-4 md:grid-cols-2">
        <Lines typed={typed} far={far} onTyped={setTyped} />
        <div className="grid content-start gap-2">
          {problems.map(({ line, message }) => (
            <p key={line} role="alert" className="text-error">
              ✕ Bend {line + 1}: {message}
            </p>
          ))}
          {fit.isError && tests.length > 0 && (
            <p role="alert" className="text-error">
              ✕ {fit.error.message}
            </p>
          )}
          {shown === undefined ? (
            <p>The tables come with the first bend.</p>
          ) : (
            <>
              <Tables fit={shown} />
              <Curve fit={shown} tests={tests} />
              <TakeThem bender={bender} fit={shown} onDone={onClose} />
            </>
          )}
        </div>
      </div>
    </Dialog>
  );
}

/** What was written down, a line a bend. */
function Lines({
  typed,
  far,
  onTyped,
}: {
  typed: readonly TypedBend[];
  far: number | undefined;
  onTyped: (typed: readonly TypedBend[]) => void;
}) {
  const unit = useDisplayUnit();
  return (
    <table className="self-start">
      <caption className="sr-only">Test bends</caption>
      <thead className="text-left text-sm">
        <tr>
          <th>
            <span className="sr-only">Bend</span>
          </th>
          {COLUMNS.map(({ part, name, unit: of }) => (
            <th key={part} className="font-normal">
              {name}, {of === 'length' ? unit : of}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {typed.map((bend, line) => (
          // A line is what it is by its place: nothing else tells blank ones apart.
          <tr key={line} className={far === line ? 'bg-warning text-warning-content' : ''}>
            <th scope="row" className="pr-2 text-right font-normal">
              {far === line && <span aria-hidden="true">▲ </span>}
              {line + 1}
            </th>
            {COLUMNS.map(({ part, name }) => (
              <td key={part} className="p-0.5">
                <input
                  aria-label={`${name}, bend ${String(line + 1)}`}
                  value={bend[part]}
                  maxLength={20}
                  className="figures h-11 w-full min-w-0 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-xl text-base-content"
                  onChange={(event) => {
                    onTyped(
                      withBlank(typed.map((each, i) => (i === line ? { ...each, [part]: event.target.value } : each))),
                    );
                  }}
                />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
      {far !== undefined && (
        <tfoot>
          <tr>
            <td colSpan={4} className="pt-1 leading-snug">
              ▲ Bend {far + 1} is further off than the others: read it again, or bend another to that angle.
            </td>
          </tr>
        </tfoot>
      )}
    </table>
  );
}

/** The lead gives the machine these tables; what was set before keeps its own. */
function TakeThem({ bender, fit, onDone }: { bender: Bender; fit: Fit; onDone: () => void }) {
  const me = useSignedIn();
  const client = useQueryClient();
  const take = useMutation<Bender, Problem>({
    mutationFn: () =>
      body(
        api.PUT('/api/benders/{id}/revisions/{key}', {
          params: { path: { id: bender.id, key: newId() } },
          body: {
            figures: { ...bender.figures, springback: fit.springback, ramTravel: fit.ramTravel },
            reason: sourceWords(fit),
          },
        }),
      ),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['shed'] });
      onDone();
    },
  });
  if (me.role !== 'LEAD') {
    return <p className="leading-snug">The centre lead can give {bender.label} these tables.</p>;
  }
  return (
    <>
      {take.error !== null && (
        <p role="alert" className="text-error">
          ✕ {take.error.message}
        </p>
      )}
      <button
        type="button"
        className="btn h-12 btn-neutral text-lg"
        disabled={take.isPending}
        onClick={() => {
          take.mutate();
        }}
      >
        Give {bender.label} these tables
      </button>
      <p className="text-sm leading-snug">What was set and measured with the earlier ones keeps them.</p>
    </>
  );
}
