import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Fragment, useState } from 'react';
import { api, body, Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { useJudgingPresets } from '../api/queries';
import { Figure } from '../entry/Figure';
import { unitOfKind } from '../entry/figures';
import { PresetVersions } from './PresetVersions';
import { SCHEMES } from '../bends/kinds';
import { ToleranceForm } from './ToleranceForm';
import { weighedIn } from './weighed';
import { IfMay } from '../frame/IfMay';

type Figures = Schemas['ToleranceFigures'];

interface Edited {
  id: string;
  figures: Figures;
}

/** The sets of tolerances that pieces are judged by: the usual ones, and the school's own. */
export function Tolerances() {
  const presets = useJudgingPresets();
  const client = useQueryClient();
  const [edited, setEdited] = useState<Edited>();
  const done = (all: Schemas['Presets']) => {
    client.setQueryData(['judging-presets'], all);
    void client.invalidateQueries({ queryKey: ['preset-versions'] });
    void client.invalidateQueries({ queryKey: ['shed'] });
    void client.invalidateQueries({ queryKey: ['comparison'] });
  };
  const putAway = useMutation<Schemas['Presets'], Problem, string>({
    mutationFn: (id) => body(api.DELETE('/api/judging-presets/{id}', { params: { path: { id } } })),
    onSuccess: done,
  });
  if (presets.data === undefined) {
    return <p className="p-4">{presets.error?.message ?? 'Opening…'}</p>;
  }
  const taken = [...presets.data.usual, ...presets.data.own.map(({ figures }) => figures)].map(({ preset }) => preset);
  const another = (figures: Figures) => {
    setEdited({ id: newId(), figures: { ...figures, preset: unused(`${figures.preset} 2`, taken) } });
  };
  if (edited !== undefined) {
    return (
      <ToleranceForm
        key={edited.id}
        id={edited.id}
        start={edited.figures}
        faults={presets.data.faults}
        onDone={(all) => {
          if (all !== undefined) {
            done(all);
          }
          setEdited(undefined);
        }}
      />
    );
  }
  return (
    <div className="grid gap-3 p-4">
      <p className="max-w-[60rem] leading-snug">
        A set is chosen when an exercise is set, and frozen with each piece when its measuring begins: changing a set
        here changes no old verdict. What a piece would have been under the others stands in its verdict, under Points.
      </p>
      {putAway.error !== null && <p role="alert">✕ {putAway.error.message}</p>}
      <ul className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
        {presets.data.usual.map((figures) => (
          <Card key={figures.preset} figures={figures} note="usual, stays as it is">
            <IfMay right="TEACH">
              <Button
                name="Make one like it"
                about={figures.preset}
                onClick={() => {
                  another(figures);
                }}
              />
            </IfMay>
          </Card>
        ))}
        {presets.data.own.map(({ id, figures, madeBy, mayChange }) => (
          <Card key={id} figures={figures} note={`the school’s own, made by ${madeBy}`}>
            {mayChange && (
              <Button
                name="Change"
                about={figures.preset}
                onClick={() => {
                  setEdited({ id, figures });
                }}
              />
            )}
            <IfMay right="TEACH">
              <Button
                name="Make one like it"
                about={figures.preset}
                onClick={() => {
                  another(figures);
                }}
              />
            </IfMay>
            {mayChange && (
              <Button
                name="Put away"
                about={figures.preset}
                onClick={() => {
                  putAway.mutate(id);
                }}
              />
            )}
            <PresetVersions id={id} about={figures.preset} />
          </Card>
        ))}
      </ul>
    </div>
  );
}

function unused(name: string, taken: readonly string[]): string {
  const known = new Set(taken.map((each) => each.toLowerCase()));
  const base = name.replace(/ \d+$/, '');
  let next = name;
  for (let i = 3; known.has(next.toLowerCase()); i++) {
    next = `${base} ${String(i)}`;
  }
  return next;
}

function Button({ name, about, onClick }: { name: string; about: string; onClick: () => void }) {
  return (
    <button
      type="button"
      aria-label={`${name}: ${about}`}
      className="btn h-11 min-h-0 border-2 border-base-content/60 text-base"
      onClick={onClick}
    >
      {name}
    </button>
  );
}

/** The features that have limits of their own. */
function ownLimits(figures: Figures) {
  return weighedIn(figures).flatMap(({ name, id, kind }) => {
    const limit = figures.limits?.[id];
    return limit === undefined ? [] : [{ name, unit: unitOfKind(kind), limit }];
  });
}

function Card({ figures, note, children }: { figures: Figures; note: string; children: React.ReactNode }) {
  return (
    <li className="grid content-between gap-2 rounded-box border-2 border-base-content/60 p-3">
      <div>
        <h2 className="text-2xl leading-tight font-semibold">{figures.preset}</h2>
        <p className="text-sm">{note}</p>
        <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3 text-lg leading-snug">
          <dt>Lengths</dt>
          <dd>
            ±<Figure value={figures.lengthIn} unit="in" fine />
          </dd>
          <dt>Angles</dt>
          <dd>
            ±<Figure value={figures.angleDeg} unit="deg" />
          </dd>
          <dt>Dog leg</dt>
          <dd>
            <Figure value={figures.dogLegDeg} unit="deg" />
          </dd>
          {ownLimits(figures).map(({ name, unit, limit }) => (
            <Fragment key={name}>
              <dt>{name}</dt>
              <dd>
                +<Figure value={limit.over} unit={unit} fine /> −<Figure value={limit.under} unit={unit} fine />
              </dd>
            </Fragment>
          ))}
          <dt>To pass</dt>
          <dd>
            <span className="figures">{figures.passMark}</span>,{' '}
            {SCHEMES.find(({ id }) => id === (figures.scheme ?? 'graded'))?.name}
          </dd>
        </dl>
      </div>
      <div className="flex flex-wrap gap-1.5">{children}</div>
    </li>
  );
}
