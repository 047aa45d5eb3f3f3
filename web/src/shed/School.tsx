import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, sentAsItIs, type Problem, type Schemas } from '../api/client';
import { useJudgingPresets } from '../api/queries';
import { useAddress } from '../frame/address';
import { Beside } from '../frame/Beside';
import { FileButton } from '../frame/FileButton';
import { Choice } from '../frame/Header';
import { IfMay } from '../frame/IfMay';
import { problemAt, problemBeside } from '../frame/problems';
import { useMay } from '../frame/rights';
import { Select } from '../frame/Select';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { DIVISIONS } from '../set/draft';
import { useSchool } from './queries';
import { RetentionRules } from './RetentionRules';
import { WholeSchool } from './WholeSchool';

type SchoolView = Schemas['SchoolView'];

const UNITS = [
  { value: 'in', name: 'Inches' },
  { value: 'mm', name: 'Millimetres' },
] as const;

const VIEWS = [
  { value: 'setUp', name: 'Set-up' },
  { value: 'data', name: 'Data for the years' },
] as const;

/** What the school is set up with, and how long it keeps what it knows. */
export function School() {
  const [search, changeAddress] = useAddress();
  const readsRecords = useMay('READ_RECORDS');
  if (!readsRecords) {
    return <SetUpOfSchool />;
  }
  const view = search.get('view') === 'data' ? 'data' : 'setUp';
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex border-b border-base-300 px-3 py-1.5">
        <Choice
          label="View"
          options={VIEWS}
          value={view}
          onChange={(value) => {
            changeAddress({ view: value }, { replace: false });
          }}
        />
      </div>
      {view === 'setUp' ? <SetUpOfSchool /> : <DataForYears />}
    </div>
  );
}

function DataForYears() {
  return (
    <div
      className="grid min-h-0 flex-1 content-start gap-x-10 gap-y-6 overflow-y-auto p-4 xl:grid-cols-[minmax(0,46rem)_minmax(0,26rem)]"
      tabIndex={0}
      role="region"
      aria-label="Data for the years"
    >
      <RetentionRules />
      <IfMay right="LEAD">
        <WholeSchool />
      </IfMay>
    </div>
  );
}

/** What the school is called, how its screens begin, and what stands on its sheets. */
function SetUpOfSchool() {
  const school = useSchool();
  const [kept, setKept] = useState(false);
  if (school.data === undefined) {
    return (
      <p className="p-4 text-lg" role={school.error === null ? 'status' : 'alert'}>
        {school.error?.message ?? 'Opening…'}
      </p>
    );
  }
  return (
    <div
      className="grid min-h-0 flex-1 content-start gap-x-10 gap-y-6 overflow-y-auto p-4 lg:grid-cols-[minmax(0,42rem)_minmax(0,24rem)]"
      tabIndex={0}
      role="region"
      aria-label="School"
    >
      <SetUp
        key={school.data.edition}
        school={school.data}
        kept={kept}
        onKept={() => {
          setKept(true);
        }}
      />
      <Logo school={school.data} />
    </div>
  );
}

function SetUp({ school, kept, onKept }: { school: SchoolView; kept: boolean; onKept: () => void }) {
  const client = useQueryClient();
  const leads = useMay('LEAD');
  const presets = useJudgingPresets();
  const [said, setSaid] = useState(school);
  const keep = useMutation<SchoolView, Problem>({
    mutationFn: () =>
      body(
        api.PUT('/api/school', {
          body: {
            edition: school.edition,
            name: said.name,
            unit: said.unit,
            divisionIn: said.divisionIn,
            preset: said.preset,
            codeNotes: said.codeNotes,
          },
        }),
      ),
    onSuccess: (now) => {
      client.setQueryData(['school'], now);
      onKept();
      void client.invalidateQueries({ queryKey: ['shed'] });
      void client.invalidateQueries({ queryKey: ['firstSteps'] });
    },
    onError: (problem) => {
      if (problem.status === 409) {
        void client.invalidateQueries({ queryKey: ['school'] });
      }
    },
  });
  const change = (part: Partial<SchoolView>) => {
    setSaid({ ...said, ...part });
  };
  const sets = [...(presets.data?.usual ?? []), ...(presets.data?.own ?? []).map(({ figures }) => figures)];
  return (
    <form
      className="grid content-start gap-4"
      aria-label="What the school is set up with"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <TextField
        label="Name of the school"
        value={said.name}
        onChange={(name) => {
          change({ name });
        }}
        required
        maxLength={100}
        readOnly={!leads}
        problem={problemAt(keep.error, '/name')}
      />
      <div className="flex flex-wrap items-end gap-4">
        <div className="grid gap-1">
          <span>Whoever is new sees lengths in</span>
          <Choice
            label="Unit"
            options={UNITS}
            value={said.unit}
            onChange={(unit) => {
              change({ unit, divisionIn: unit === 'mm' ? 1 / 25.4 : 1 / 16 });
            }}
          />
        </div>
        <div className="w-36">
          <Select
            label="Tapes are divided by"
            value={String(said.divisionIn)}
            onChange={(value) => {
              change({ divisionIn: Number(value) });
            }}
            options={DIVISIONS}
          />
        </div>
        <div className="w-44">
          <Select
            label="Judged by, at first"
            value={said.preset}
            onChange={(preset) => {
              change({ preset });
            }}
            options={(sets.length === 0 ? [{ preset: said.preset }] : sets).map(({ preset }) => ({
              value: preset,
              name: preset,
            }))}
          />
        </div>
      </div>
      <label className="grid gap-1">
        What of the local code is to be minded (at the foot of every sheet)
        <textarea
          value={said.codeNotes}
          maxLength={1000}
          rows={4}
          readOnly={!leads}
          onChange={(event) => {
            change({ codeNotes: event.target.value });
          }}
          className="rounded-field border-2 border-base-content/60 bg-base-100 p-3 text-lg leading-snug"
        />
        <span className="text-sm leading-snug">
          The local code and the inspector have the last word; Lobrik knows neither.
        </span>
      </label>
      <Beside problem={problemBeside(keep.error, ['/name'])} />
      {leads && (
        <button className="btn h-12 btn-neutral text-lg" disabled={keep.isPending}>
          {school.isSetUp ? 'Keep it so' : 'This is our school'}
        </button>
      )}
      <p role="status">{kept && '● Kept. What was set and given out before keeps what it had.'}</p>
    </form>
  );
}

function Logo({ school }: { school: SchoolView }) {
  const client = useQueryClient();
  const leads = useMay('LEAD');
  const change = useMutation<SchoolView, Problem, File | undefined>({
    mutationFn: (file) =>
      body(file === undefined ? api.DELETE('/api/school/logo') : api.PUT('/api/school/logo', sentAsItIs(file))),
    onSuccess: (kept) => {
      client.setQueryData(['school'], kept);
      setShown((times) => times + 1);
    },
  });
  const [shown, setShown] = useState(0);
  return (
    <section aria-label="Picture on the sheets">
      <h2 className="text-2xl leading-tight font-semibold">Picture on the sheets</h2>
      {school.hasLogo ? (
        <img
          src={`/api/school/logo?${String(shown)}`}
          alt="The picture that stands on the sheets"
          className="mt-2 max-h-32 max-w-full border border-base-300 bg-white"
        />
      ) : (
        <p className="leading-snug">None. A JPEG or PNG of yours stands small at the foot of every sheet.</p>
      )}
      {leads && (
        <div className="mt-2 flex flex-wrap gap-2">
          <FileButton
            label="Picture for the sheets"
            accept="image/jpeg,image/png"
            className={BUTTON}
            onFile={(file) => {
              change.mutate(file);
            }}
          >
            {school.hasLogo ? 'Choose another' : 'Choose a picture'}
          </FileButton>
          {school.hasLogo && (
            <button
              type="button"
              className={BUTTON}
              onClick={() => {
                change.mutate(undefined);
              }}
            >
              Take it off
            </button>
          )}
        </div>
      )}
      <Beside problem={change.error?.message} />
    </section>
  );
}
