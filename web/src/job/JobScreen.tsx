import { useMutation } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Problem, type Schemas } from '../api/client';
import { RunWalls } from '../drawing/RunWalls';
import { Figure } from '../entry/Figure';
import { Choice, Header } from '../frame/Header';
import { fetchFile } from '../set/files';
import { Moves } from '../verdict/Moves';
import { CutList } from './CutList';
import { type Job, useJob } from './queries';

/** A run of several pieces: who bends which, what it is cut from, and what it comes to put together. */
export default function JobScreen() {
  const { jobId } = useParams();
  const job = useJob(jobId);
  if (job.data === undefined) {
    return (
      <p className="p-8 text-xl" role="status">
        {job.error?.message ?? 'Opening…'}
      </p>
    );
  }
  return <Opened job={job.data} />;
}

const TIMES = [
  { value: '1', name: '1×' },
  { value: '4', name: '4×' },
  { value: '16', name: '16×' },
] as const;

function Opened({ job }: { job: Job }) {
  const [times, setTimes] = useState<(typeof TIMES)[number]['value']>('4');
  const { plan, assembly } = job;
  const asked = { ...plan, shape: plan.wanted ?? plan.shape, marks: [] };
  return (
    <div className="flex h-full min-h-[38rem] flex-col">
      <Header
        title={job.title}
        about={`${String(job.pieces.length)} pieces · ${job.conduitLabel} · ${job.benderLabel}`}
      />
      <div className="flex min-h-0 flex-1 max-lg:min-h-fit max-lg:flex-col">
        <div className="flex min-h-[22rem] min-w-0 flex-1 flex-col">
          <div className="relative min-h-0 flex-1">
            <RunWalls
              plan={asked}
              made={assembly?.made}
              exaggeration={Number(times)}
              outsideDiameter={job.outsideDiameterIn}
              dimensions={plan.dimensions.map(({ at, from, to }) => ({ id: at, from, to }))}
              couplings={job.pieces.slice(1).map(({ fromIn }) => fromIn)}
              stacked
              description={assembly == null ? 'The whole run' : 'The run put together, over what was asked'}
              at={lengths(job)}
            />
          </div>
          {assembly != null && (
            <div className="flex flex-wrap items-center gap-3 border-t border-base-300 p-2">
              difference
              <Choice label="Difference drawn" options={TIMES} value={times} onChange={setTimes} />
            </div>
          )}
        </div>
        <aside
          aria-label="The job"
          className="flex w-full shrink-0 flex-col gap-3 overflow-y-auto border-base-300 bg-base-200 p-3 lg:w-[27rem] lg:border-l"
        >
          <PutTogether assembly={assembly} />
          <Pieces job={job} />
          <Needed job={job} />
          <Files job={job} />
        </aside>
      </div>
    </div>
  );
}

/** Each leg with its length, where it is drawn. */
function lengths({ plan }: Job) {
  return Object.fromEntries(
    plan.features
      .filter(({ id }) => plan.dimensions.some(({ at }) => at === id))
      .map(({ id, target, unit }) => [
        id,
        <Figure key={id} value={target} unit={unit} className="rounded-field bg-base-100 px-1 text-xl" />,
      ]),
  );
}

function PutTogether({ assembly }: { assembly: Job['assembly'] }) {
  if (assembly == null) {
    return <p className="text-lg leading-snug">No piece is measured yet. As each is, the run is put together here.</p>;
  }
  return (
    <section aria-label="Put together">
      <h2 className="text-base font-semibold">Put together</h2>
      {!assembly.complete && <p className="leading-tight">So far; pieces not measured are taken as they should be.</p>}
      <p className={`text-xl leading-snug ${assembly.enters ? '' : 'text-error'}`}>
        <span aria-hidden="true">{assembly.enters ? '● ' : '✕ '}</span>
        {assembly.sentence}
      </p>
      <Moves
        caption="What each piece moves the far end by"
        moves={assembly.spent.map(({ piece, measured, straight, brings, farIn }) => ({
          name: `Piece ${String(piece)}`,
          note: straight ? 'as cut' : measured ? brings || 'nothing to speak of' : 'not measured',
          farIn: brings === '' ? undefined : farIn,
        }))}
      />
    </section>
  );
}

function Pieces({ job }: { job: Job }) {
  return (
    <section aria-label="Pieces" className="border-t-2 border-base-content/60 pt-2">
      <h2 className="text-base font-semibold">Pieces</h2>
      <ul className="grid">
        {job.pieces.map((piece) => (
          <li
            key={piece.number}
            className="grid grid-cols-[1.5rem_1fr_auto] gap-x-2 border-t border-base-300 py-1 leading-tight"
          >
            <b className="text-xl">{piece.number}</b>
            <span>
              cut to <Figure value={piece.lengthIn} unit="in" className="text-xl" />
              {piece.couplingIn != null && (
                <>
                  , from a coupling <Figure value={piece.couplingIn} unit="in" /> on leg {piece.fromLeg}
                </>
              )}
              <span className="block text-sm">
                {piece.bends.length === 0 ? 'straight' : `bends ${piece.bends.join(', ')}`}
              </span>
            </span>
            <Whose piece={piece} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Whose({ piece: { sheet, definition } }: { piece: Schemas['JobPieceView'] }) {
  if (sheet == null) {
    return <span>{definition == null ? 'cut only' : 'taken back'}</span>;
  }
  const { attemptId, measured, points, passed, fullName, code } = sheet;
  return (
    <span className="text-right">
      <span className="block text-lg">{fullName}</span>
      {attemptId != null && measured ? (
        <Link to={`/verdict/${attemptId}`} className="underline underline-offset-4">
          <span aria-hidden="true">{passed === true ? '● ' : '✕ '}</span>
          {Math.round(points ?? 0)} of 100
        </Link>
      ) : attemptId != null ? (
        <Link to={`/measure/${attemptId}`} className="underline underline-offset-4">
          being measured
        </Link>
      ) : (
        <span className="figures">sheet {code}</span>
      )}
    </span>
  );
}

function Needed({ job }: { job: Job }) {
  return (
    <section aria-label="Cut list and fittings" className="border-t-2 border-base-content/60 pt-2 leading-snug">
      <h2 className="text-base font-semibold">Cut list and fittings</h2>
      <CutList cuts={job.cuts} />
      <p>
        {job.fittings.map(({ what, count }) => `${String(count)} ${what}`).join(', ')}; straps at{' '}
        {job.strapsIn.map((at, i) => (
          <span key={i}>
            {i > 0 && ', '}
            <Figure value={at} unit="in" />
          </span>
        ))}
        .
      </p>
      {job.pullBoxOnLegs.length > 0 && <p>A box to pull wire at on leg {job.pullBoxOnLegs.join(' and leg ')}.</p>}
      <p className="text-sm leading-tight">Ream every cut. Local code and the licensed person in charge decide.</p>
    </section>
  );
}

function Files({ job }: { job: Job }) {
  const save = useMutation<unknown, Problem, () => Promise<void>>({ mutationFn: (make) => make() });
  const drawing = (format: 'svg' | 'dxf') => () =>
    fetchFile(
      api.POST('/api/calc/drawing', {
        body: { definition: job.definition, view: 'elevation', format },
        parseAs: 'blob',
      }),
      `run.${format}`,
    );
  return (
    <div className="grid gap-2 border-t-2 border-base-content/60 pt-2">
      <a
        href={`/api/jobs/${job.id}/page.pdf`}
        className="flex min-h-11 items-center gap-2 underline underline-offset-4"
      >
        <Printer size={18} aria-hidden="true" /> The whole job on one page (PDF)
      </a>
      <div className="flex gap-2">
        {(['svg', 'dxf'] as const).map((format) => (
          <button
            key={format}
            type="button"
            className="min-h-11 flex-1 rounded-field border-2 border-base-content/60 bg-base-100 px-2"
            onClick={() => {
              save.mutate(drawing(format));
            }}
          >
            The run, {format.toUpperCase()}
          </button>
        ))}
      </div>
      {save.error !== null && <p className="text-error">✕ {save.error.message}</p>}
    </div>
  );
}
