import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, sentAsItIs, type Problem, type Schemas } from '../api/client';
import { Beside } from '../frame/Beside';
import { FileButton } from '../frame/FileButton';
import { Select } from '../frame/Select';
import { BUTTON } from '../library/button';
import { useKeptCohorts } from './queries';

/** The whole school, out as a file; and one from elsewhere in, where there is nothing yet. */
export function WholeSchool() {
  const cohorts = useKeptCohorts();
  return (
    <section aria-label="The whole school as a file">
      <h2 className="text-2xl leading-tight font-semibold">The whole school as a file</h2>
      <p className="text-lg leading-snug">
        Everybody, everything that was set, measured and signed, the rack, the calendar and the audit, as lines of JSON
        with the pictures beside them, in one archive that any tool opens. Passwords are not in it; the codes on printed
        sheets are: keep it as safe as your records.
      </p>
      <a href="/api/school/file" download className={`${BUTTON} mt-2 inline-grid place-items-center`}>
        Take it all out
      </a>
      {cohorts.data?.length === 0 && <BringIn />}
    </section>
  );
}

function BringIn() {
  const client = useQueryClient();
  const [file, setFile] = useState<File>();
  const [as, setAs] = useState('');
  const send = (chosen: File, lead: string | undefined) =>
    body(
      api.PUT('/api/school/file', {
        params: { query: lead === undefined ? {} : { as: lead } },
        ...sentAsItIs(chosen),
      }),
    );
  const look = useMutation<Schemas['SchoolInFile'], Problem, File>({
    mutationFn: (chosen) => send(chosen, undefined),
    onSuccess: ({ leads }) => {
      setAs(leads[0]?.id ?? '');
    },
  });
  const bring = useMutation<Schemas['SchoolInFile'], Problem, File>({
    mutationFn: (chosen) => send(chosen, as),
    // Everything is another's now.
    onSuccess: () => client.resetQueries(),
  });
  const seen = look.data;
  return (
    <div className="mt-6">
      <h3 className="text-xl leading-tight font-semibold">Bring a school in</h3>
      <p className="leading-snug">
        Here is nothing yet: a school that was taken out of another Lobrik can come in its place, whole.
      </p>
      <FileButton
        label="File of a school"
        accept=".zip,application/zip"
        className={`${BUTTON} mt-2`}
        onFile={(chosen) => {
          setFile(chosen);
          look.mutate(chosen);
        }}
      >
        {look.isPending ? 'Looking into it…' : 'Choose the file'}
      </FileButton>
      <Beside problem={look.error?.message} />
      {seen !== undefined && file !== undefined && (
        <form
          className="mt-3 grid max-w-xl gap-3 border-l-4 border-primary pl-3"
          onSubmit={(event) => {
            event.preventDefault();
            bring.mutate(file);
          }}
        >
          <p className="text-lg leading-snug">
            <b>{seen.name}</b>: {seen.trainees} trainees, {seen.attempts} pieces, {seen.readings} readings.
          </p>
          <Select
            label="You go on as"
            value={as}
            onChange={setAs}
            options={seen.leads.map(({ id, fullName, signInName }) => ({
              value: id,
              name: `${fullName} (${signInName})`,
            }))}
          />
          <p className="text-sm leading-snug">
            With the password that you have now. Everybody else gets a code for another password from you, in People.
          </p>
          <Beside problem={bring.error?.message} />
          <button className="btn h-12 btn-neutral text-lg" disabled={as === '' || bring.isPending}>
            {bring.isPending ? 'Bringing it in…' : 'Bring it in'}
          </button>
        </form>
      )}
    </div>
  );
}
