import { useState } from 'react';
import { api, body } from '../api/client';
import { useQuantities } from '../benchcore/useQuantities';
import { kindOfUnit } from '../entry/figures';
import { Beside } from '../frame/Beside';
import { useDisplayUnit } from '../frame/signedIn';
import { TextField } from '../frame/TextField';
import { SHOWS_STUDIES, type Study, useStudyTurn } from './studyQueries';
import { useKept } from './useKept';

/** The piece that one reads now. What was written down is not seen again: nobody reads what they remember. */
export function StudyReading({ study }: { study: Study }) {
  const turn = useStudyTurn(study.id);
  if (turn.data === undefined) {
    return <p role={turn.error === null ? 'status' : 'alert'}>{turn.error?.message ?? 'Looking whose turn it is…'}</p>;
  }
  const { piece, round } = turn.data;
  if (piece == null || round == null) {
    return null;
  }
  return <Piece key={`${String(piece)} ${String(round)}`} study={study} piece={piece} round={round} />;
}

function Piece({ study, piece, round }: { study: Study; piece: number; round: number }) {
  const unit = useDisplayUnit();
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const read = useQuantities(
    study.asked.map(({ feature, unit: of }) => {
      const kind = kindOfUnit(of);
      return {
        kind: kind === 'length' ? 'signedLength' : kind,
        text: typed[feature] ?? '',
        bare: kind === 'length' ? unit : 'in',
      };
    }),
  );
  const whole = read.every(({ value }) => value !== undefined);
  const write = useKept(
    () =>
      body(
        api.POST('/api/studies/{id}/figures', {
          params: { path: { id: study.id } },
          body: {
            piece,
            round,
            figures: study.asked.map(({ feature }, i) => ({ feature, value: read[i]?.value ?? null })),
          },
        }),
      ),
    SHOWS_STUDIES,
  );
  return (
    <form
      aria-label="Your reading"
      className="grid content-start gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (whole && !write.isPending) {
          write.mutate(undefined);
        }
      }}
    >
      <p className="leading-tight" aria-live="polite">
        <span className="text-4xl font-semibold">Piece {piece}</span>
        <span className="block text-lg">
          time {round} of {study.repeats}
        </span>
      </p>
      {study.asked.map(({ feature, title }, i) => (
        <TextField
          key={feature}
          label={title}
          autoFocus={i === 0}
          autoComplete="off"
          inputMode="decimal"
          value={typed[feature] ?? ''}
          onChange={(text) => {
            setTyped((now) => ({ ...now, [feature]: text }));
          }}
          problem={read[i]?.problem?.message}
        />
      ))}
      <Beside problem={write.error?.message} />
      <button className="btn h-12 btn-neutral text-lg" disabled={!whole || write.isPending}>
        Write down, and the next piece
      </button>
      <p className="text-sm leading-snug">
        Read it as if for the first time, and tell nobody. It is not shown again before the study is closed.
      </p>
    </form>
  );
}
