import { useState } from 'react';
import { api, body } from '../api/client';
import { newId } from '../api/newId';
import { useBenchCore } from '../benchcore/useBenchCore';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { problemAt, problemBeside } from '../frame/problems';
import { Select } from '../frame/Select';
import { useDisplayUnit } from '../frame/signedIn';
import { TextField } from '../frame/TextField';
import { type ConduitCard, SHOWS_BENDERS } from './benderQueries';
import { readFigure } from './typedFigures';
import { useKept } from './useKept';

const FIELDS = [
  { name: 'takeUpIn', label: 'Take-up, as it says on the shoe', kind: 'length' },
  { name: 'radiusIn', label: 'Radius of the centreline', kind: 'length' },
  { name: 'springbackDeg', label: 'Springback, if you know it', kind: 'angle' },
] as const;

const POINTERS = ['/label', '/reason'];

/** A hand bender of the school: what is stamped on it, to be made surer by test bends. */
export function AddBender({ conduits, onClose }: { conduits: ConduitCard[]; onClose: () => void }) {
  const core = useBenchCore();
  const unit = useDisplayUnit();
  const [id] = useState(() => newId());
  const [label, setLabel] = useState('');
  const [conduitId, setConduitId] = useState(
    conduits.find(({ label: name }) => name.startsWith('3/4'))?.id ?? conduits[0]?.id ?? '',
  );
  const [texts, setTexts] = useState<Record<string, string>>({});
  const read = FIELDS.map(({ name, kind }) => ({
    name,
    figure: core === undefined ? undefined : readFigure(core, texts[name] ?? '', kind, unit),
  }));
  const problems = Object.fromEntries(
    read.map(({ name, figure }) => [name, figure !== undefined && 'problem' in figure ? figure.problem : undefined]),
  );
  const figures = Object.fromEntries(
    read.flatMap(({ name, figure }) => (figure !== undefined && 'value' in figure ? [[name, figure.value]] : [])),
  );
  const add = useKept(
    () =>
      body(
        api.PUT('/api/benders/{id}', {
          params: { path: { id } },
          body: { label, conduitId, figures, reason: 'As it says on the shoe' },
        }),
      ),
    SHOWS_BENDERS,
    onClose,
  );
  return (
    <Dialog title="Add a bender" onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          add.mutate(undefined);
        }}
      >
        <TextField
          label="Number or name"
          value={label}
          onChange={setLabel}
          required
          maxLength={60}
          problem={problemAt(add.error, '/label')}
        />
        <Select
          label="Bends"
          value={conduitId}
          onChange={setConduitId}
          options={conduits.map(({ id: value, label: name }) => ({ value, name }))}
        />
        {FIELDS.map(({ name, label: words, kind }) => (
          <TextField
            key={name}
            label={`${words}, ${kind === 'length' ? unit : '°'}`}
            value={texts[name] ?? ''}
            onChange={(text) => {
              setTexts({ ...texts, [name]: text });
            }}
            required={name !== 'springbackDeg'}
            maxLength={20}
            problem={problems[name]}
          />
        ))}
        <Beside problem={problemBeside(add.error, POINTERS)} />
        <button className="btn h-12 btn-neutral text-lg" disabled={add.isPending || core === undefined}>
          Add it
        </button>
        <p className="text-sm leading-snug">
          What is stamped on a shoe is a start. Three test bends tell what this one takes, and later the pieces of the
          class do.
        </p>
      </form>
    </Dialog>
  );
}
