import { useMutation } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';
import { FileButton } from '../frame/FileButton';
import { BUTTON } from './button';

/** Reads a file of exercises; all of them are added, or none, with the lines that are wrong. */
export function ImportButton({ onDone }: { onDone: () => Promise<void> }) {
  const add = useMutation<Schemas['Imported'], Problem, File>({
    mutationFn: async (chosen) =>
      body(api.POST('/api/library/file', { body: await chosen.text(), bodySerializer: (text) => text as string })),
    onSuccess: onDone,
  });
  return (
    <>
      <FileButton
        label="File of exercises"
        accept=".json,application/json"
        className={BUTTON}
        onFile={(chosen) => {
          add.mutate(chosen);
        }}
      >
        Import a file
      </FileButton>
      <span role="status" className="self-center">
        {add.isSuccess && (
          <>
            <span className="text-success">● </span>
            {add.data.exercises === 1 ? 'One exercise added.' : `${String(add.data.exercises)} exercises added.`}
          </>
        )}
      </span>
      {add.error !== null && <Refusals problem={add.error} />}
    </>
  );
}

function Refusals({ problem }: { problem: Problem }) {
  const errors =
    problem.errors.length > 0 ? problem.errors : [{ pointer: '', message: problem.message, line: undefined }];
  return (
    <ul role="alert" className="basis-full border-2 border-error p-2">
      <li className="font-semibold text-error">✕ Nothing was added.</li>
      {errors.slice(0, 12).map((error, i) => (
        <li key={i}>
          {error.line !== undefined && <b>Line {error.line}: </b>}
          {error.message}
        </li>
      ))}
    </ul>
  );
}
