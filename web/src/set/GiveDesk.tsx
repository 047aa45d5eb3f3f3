import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { usePreview } from '../api/queries';
import { Choice } from '../frame/Header';
import { useCohort } from '../frame/cohort';
import { bendInputs, toolingOf } from './draft';
import { exerciseOf, tolerancesOf } from './asked';
import { GivePreview } from './GivePreview';
import { GroupDialog } from './GroupDialog';
import { toldApart } from '../frame/people';
import { TakeBack } from '../library/TakeBack';
import { PrintSheets } from './PrintSheets';
import { receiversOf } from './receivers';
import type { Desk } from './useDesk';
import { useVariation } from './useVariation';
import { VariationFields } from './VariationFields';

const SAME = [
  { value: 'same', name: 'The same for all' },
  { value: 'varied', name: 'A variant each' },
] as const;

interface GiveDeskProps {
  shed: Schemas['Shed'];
  desk: Desk;
  preferredTrainee: string | undefined;
}

/** Gives what is on the desk to a cohort, a group or a trainee; shows before what each gets and what it takes. */
export function GiveDesk({ shed, desk, preferredTrainee }: GiveDeskProps) {
  const client = useQueryClient();
  const { draft, request, isCurrent, problem, saved } = desk;
  const { cohorts, cohort } = useCohort();
  const [chosen, setChosen] = useState(preferredTrainee === undefined ? undefined : `trainee:${preferredTrainee}`);
  const [dueOn, setDueOn] = useState('');
  const [tries, setTries] = useState('');
  const [varied, setVaried] = useState<'same' | 'varied'>('same');
  const [grouping, setGrouping] = useState(false);
  // A new id for each thing given; the same one while a request is repeated.
  const [id, setId] = useState(() => newId());
  const receiver = chosen ?? (cohort === undefined ? '' : `cohort:${cohort.id}`);
  const giveTo = receiversOf(receiver);
  const { variation, problem: unread } = useVariation(draft);
  const ready =
    request !== undefined && isCurrent && giveTo !== undefined && (varied === 'same' || variation !== undefined);
  const preview = usePreview(
    ready
      ? {
          definition: request,
          conduitLabel: toolingOf(shed, draft)?.conduitLabel ?? null,
          giveTo,
          tolerances: draft.methodFree ? null : tolerancesOf(shed, draft),
          ...(varied === 'varied' && variation ? { variation } : {}),
        }
      : undefined,
  );
  const [copied, setCopied] = useState(false);
  const give = useMutation<Schemas['GivenView'], Problem, Schemas['NewGiving']>({
    mutationFn: (giving) => body(api.PUT('/api/givings/{id}', { params: { path: { id } }, body: giving })),
    onError: () => {
      setGiven(undefined);
    },
    onSuccess: (done) => {
      setId(newId());
      const copied = done.libraryId !== draft.entry.id;
      saved({ id: done.libraryId, version: done.version, theirs: copied ? undefined : draft.entry.theirs });
      setCopied(copied && draft.entry.theirs !== undefined);
      for (const queryKey of [['floor'], ['givings'], ['library'], ['preview'], ['stock']]) {
        void client.invalidateQueries({ queryKey });
      }
    },
  });
  const missed = preview.data?.dealt.filter(({ worst }) => worst != null && worst !== 'slight') ?? [];
  const beyond = missed.some(({ worst }) => worst === 'beyond');
  const [allTheSame, setAllTheSame] = useState<string>();
  // One deliberate press, for this very exercise: whoever changes it is asked anew.
  const thisOne = JSON.stringify([request, variation, varied, draft.preset]);
  // Nothing is given before it is known what the method misses.
  const agreed = preview.data !== undefined && (missed.length === 0 || allTheSame === thisOne);
  // Pressed twice, it is given once: the same to the same is given again only after something was changed.
  const what = JSON.stringify([thisOne, receiver, dueOn, tries, draft.title]);
  const [given, setGiven] = useState<string>();
  const mistake = problem ?? unread ?? preview.error ?? give.error ?? undefined;
  return (
    <div className="flex min-h-0 flex-1 max-lg:flex-col">
      <section
        aria-label="Give out"
        className="flex w-full shrink-0 flex-col gap-3 overflow-y-auto border-base-300 bg-base-200 p-3 lg:w-[25rem] lg:border-r"
      >
        <label className="grid gap-0.5">
          <span className="text-sm">Give to</span>
          <select
            value={receiver}
            onChange={(event) => {
              setChosen(event.target.value);
            }}
            className={FIELD}
          >
            {cohorts?.map((each) => (
              <optgroup key={each.id} label={each.name}>
                <option value={`cohort:${each.id}`}>All of {each.name}</option>
                {each.groups.map((group) => (
                  <option key={group.id} value={`group:${group.id}`}>
                    {group.name} ({group.traineeIds.length})
                  </option>
                ))}
                {each.trainees.map((trainee) => (
                  <option key={trainee.id} value={`trainee:${trainee.id}`}>
                    {toldApart(each.trainees)(trainee)}
                  </option>
                ))}
              </optgroup>
            ))}
          </select>
        </label>
        <button
          type="button"
          className="min-h-11 justify-self-start text-left underline"
          onClick={() => {
            setGrouping(true);
          }}
        >
          Make a group
        </button>
        <div className="grid grid-cols-2 gap-2">
          <label className="grid gap-0.5">
            <span className="text-sm">Due on</span>
            <input
              type="date"
              value={dueOn}
              onChange={(event) => {
                setDueOn(event.target.value);
              }}
              className={FIELD}
            />
          </label>
          <label className="grid gap-0.5">
            <span className="text-sm">Tries</span>
            <input
              type="number"
              min={1}
              max={20}
              value={tries}
              placeholder="any number"
              onChange={(event) => {
                setTries(event.target.value);
              }}
              className={FIELD}
            />
          </label>
        </div>
        <Choice label="Same or varied" options={SAME} value={varied} onChange={setVaried} />
        {varied === 'varied' && <VariationFields desk={desk} />}
        {missed.length > 0 && (
          <label
            className={`flex items-start gap-2 rounded-field border-2 bg-base-100 p-2 leading-snug ${beyond ? 'border-error' : 'border-warning'}`}
          >
            <input
              type="checkbox"
              className="mt-0.5 size-6 shrink-0"
              checked={agreed}
              onChange={(event) => {
                setAllTheSame(event.target.checked ? thisOne : undefined);
              }}
            />
            <span>
              <b>Give it all the same.</b>{' '}
              {missed.length === preview.data?.dealt.length
                ? 'Even the right piece does not come out as asked'
                : `For ${String(missed.length)} of ${String(preview.data?.dealt.length)} even the right piece does not come out as asked`}
              {beyond ? ' by more than its tolerance.' : ' by more than half its tolerance.'} The drawing says where,
              and what to change.
            </span>
          </label>
        )}
        <button
          type="button"
          className="btn sticky bottom-0 z-10 h-12 shrink-0 text-lg btn-neutral"
          disabled={
            !ready || give.isPending || given === what || !agreed || draft.title.trim() === '' || preview.error !== null
          }
          onClick={() => {
            if (request !== undefined && giveTo !== undefined) {
              setGiven(what);
              give.mutate({
                libraryId: draft.entry.id,
                basedOn: draft.entry.version ?? null,
                exercise: exerciseOf(shed, draft, request, variation),
                varied: varied === 'varied',
                giveTo,
                dueOn: dueOn === '' ? null : dueOn,
                tries: tries === '' ? null : Number(tries),
              });
            }
          }}
        >
          Give
        </button>
        <p role="status" className="text-lg leading-tight">
          {give.isSuccess && (
            <>
              <span className="text-success">● </span>
              Given to {give.data.sheets.length === 1
                ? 'one trainee'
                : `${String(give.data.sheets.length)} trainees`}.{' '}
              <Link to="/floor" className="underline">
                To the floor
              </Link>
              {copied && ' As you changed it, it is an exercise of your own now.'}
            </>
          )}
        </p>
        {mistake !== undefined && <p className="text-lg leading-tight text-error">✕ {mistake.message}</p>}
        {give.isSuccess && (
          <>
            <PrintSheets key={give.data.id} given={give.data} />
            <div className="flex flex-wrap gap-2">
              <TakeBack
                key={give.data.id}
                given={give.data}
                onDone={() => {
                  give.reset();
                  setGiven(undefined);
                }}
              />
            </div>
          </>
        )}
      </section>
      <GivePreview
        preview={preview.data}
        inputs={bendInputs(draft)}
        varied={varied === 'varied' ? draft.variation.ranges : {}}
      />
      {grouping && (
        <GroupDialog
          cohorts={cohorts ?? []}
          onMade={(group) => {
            setChosen(`group:${group}`);
            setGrouping(false);
          }}
          onClose={() => {
            setGrouping(false);
          }}
        />
      )}
    </div>
  );
}

const FIELD = 'h-11 w-full rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg';
