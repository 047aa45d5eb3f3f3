import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { Pad } from '../entry/Pad';
import { useDisplayUnit } from '../frame/signedIn';
import type { Datum } from '../measure/datum';
import { DatumChoice } from '../measure/DatumChoice';

type Sheet = Schemas['BenchSheet'];

/** The trainee's own figures for the marks and the cut, given once, before anything is told of the right ones. */
export function OwnFigures({ code, sheet, onSent }: { code: string; sheet: Sheet; onSent: () => void }) {
  const client = useQueryClient();
  const unit = useDisplayUnit();
  const asked = [
    ...Array.from({ length: sheet.marks }, (_, i) => `Mark ${String(i + 1)}`),
    ...(sheet.job.cutAsked ? ['Cut to'] : []),
  ];
  const [texts, setTexts] = useState<string[]>(() => asked.map(() => ''));
  const [datums, setDatums] = useState<Datum[]>(() => asked.map(() => 'back'));
  const [active, setActive] = useState(0);
  const fields = useRef<(HTMLInputElement | null)[]>([]);
  const [key] = useState(() => newId());
  const send = useMutation<Sheet, Problem>({
    mutationFn: () =>
      body(
        api.PUT('/api/benches/{code}/figures/{key}', {
          params: { path: { code, key } },
          body: {
            texts: texts.slice(0, sheet.marks),
            from: sheet.backs.map((back, i) => (back == null ? 'end' : (datums[i] ?? 'back'))),
            ...(sheet.job.cutAsked ? { cut: texts[sheet.marks] ?? '' } : {}),
            bare: unit,
          },
        }),
      ),
    retry: (tries, problem) => problem.status === 0 && tries < 60,
    retryDelay: 2_000,
    onSuccess: (now) => {
      onSent();
      client.setQueryData(['bench', code], now);
    },
  });
  const complete = texts.every((text) => text.trim() !== '');
  const setText = (at: number, text: string) => {
    send.reset();
    setTexts(texts.map((each, k) => (k === at ? text : each)));
  };
  const onEnter = () => {
    const next = texts.findIndex((text, k) => k !== active && text.trim() === '');
    if (next >= 0) {
      setActive(next);
      fields.current[next]?.focus();
    } else if (complete) {
      send.mutate();
    }
  };
  return (
    <form
      aria-label="Your figures"
      className="grid gap-2 border-t-2 border-base-content/60 pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (complete) {
          send.mutate();
        }
      }}
    >
      <h2 className="text-xl font-semibold">Where do your marks go?</h2>
      <p className="leading-snug">
        Work them out first: what is right is told after you have sent yours, and yours count for your arithmetic.
      </p>
      {texts.map((text, i) => (
        <div key={asked[i]}>
          <label className="flex items-center gap-3 text-lg">
            <span className="w-20">{asked[i]}</span>
            <input
              ref={(field) => {
                fields.current[i] = field;
              }}
              value={text}
              placeholder={unit === 'in' ? 'such as 14 3/8' : 'such as 365'}
              autoComplete="off"
              inputMode="none"
              onFocus={() => {
                setActive(i);
              }}
              onChange={(event) => {
                setText(i, event.target.value);
              }}
              onKeyDown={(event) => {
                // As the key of the pad does; a form that cannot be sent yet hears nothing of it.
                if (event.key === 'Enter') {
                  event.preventDefault();
                  onEnter();
                }
              }}
              className={`figures h-12 w-full min-w-0 rounded-field border-2 bg-base-100 px-3 text-2xl ${
                i === active ? 'border-base-content outline-2 outline-info' : 'border-base-content/60'
              }`}
            />
          </label>
          {sheet.backs[i] != null && (
            <DatumChoice
              name={`mark ${String(i + 1)}`}
              bend={sheet.backs[i] ?? 1}
              from={datums[i] ?? 'back'}
              onFrom={(from) => {
                setDatums(datums.map((datum, k) => (k === i ? from : datum)));
              }}
            />
          )}
        </div>
      ))}
      <Pad
        kind="length"
        text={texts[active] ?? ''}
        onText={(text) => {
          setText(active, text);
        }}
        onEnter={onEnter}
        enterLabel="Next figure"
      />
      {send.error !== null && (
        <p role="alert" className="text-error">
          ✕ {send.error.message}
        </p>
      )}
      <button className="btn h-12 btn-neutral text-lg" disabled={!complete || send.isPending}>
        {send.isPending ? 'Sending…' : 'Send my figures'}
      </button>
    </form>
  );
}
