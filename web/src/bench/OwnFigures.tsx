import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { inchParts, partsToText } from '../entry/figures';
import { type Datum, datumWords } from '../measure/datum';
import { DatumChoice } from '../measure/DatumChoice';

type Sheet = Schemas['BenchSheet'];

const BANDS = { close: '● right', within: '◐ near enough', outside: '✕ look again' } as const;

/** The trainee's own figures for the marks, given once, before the right ones are shown. */
export function OwnFigures({ code, sheet }: { code: string; sheet: Sheet }) {
  const client = useQueryClient();
  const [texts, setTexts] = useState<string[]>(() => Array.from({ length: sheet.marks }, () => ''));
  const [datums, setDatums] = useState<Datum[]>(() => texts.map(() => 'back'));
  const [key] = useState(() => crypto.randomUUID());
  const send = useMutation<Sheet, Problem>({
    mutationFn: () =>
      body(
        api.PUT('/api/benches/{code}/figures/{key}', {
          params: { path: { code, key } },
          body: {
            texts,
            from: texts.map((_, i) => (sheet.backs[i] == null ? 'end' : (datums[i] ?? 'back'))),
            bare: 'in',
          },
        }),
      ),
    retry: (tries, problem) => problem.status === 0 && tries < 60,
    retryDelay: 2_000,
    onSuccess: (now) => client.setQueryData(['bench', code], now),
  });
  if (sheet.own != null) {
    return (
      <section aria-label="Your figures">
        <h2 className="text-xl font-semibold">Your figures for the marks</h2>
        <ul>
          {sheet.own.map(({ mark, text, from, rightIn, band }) => (
            <li key={mark} className="flex items-baseline gap-3 border-t border-base-300 py-1 text-lg">
              <span className="w-16">
                Mark {mark}
                {sheet.backs[mark - 1] != null && (
                  <span className="block text-sm leading-tight">
                    {datumWords(from ?? 'end', sheet.backs[mark - 1] ?? 1)}
                  </span>
                )}
              </span>
              <span className="figures text-2xl">{text}</span>
              {band != null && rightIn != null && (
                <span className="ml-auto text-right leading-tight">
                  {BANDS[band]}
                  {band !== 'close' && (
                    <span className="block">
                      it is <span className="figures">{partsToText(inchParts(rightIn, 16))}</span>
                    </span>
                  )}
                </span>
              )}
            </li>
          ))}
        </ul>
        {!sheet.answersShown && <p className="leading-snug">This one is assessed: the right figures come later.</p>}
      </section>
    );
  }
  const complete = texts.every((text) => text.trim() !== '');
  return (
    <form
      aria-label="Your figures"
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (complete) {
          send.mutate();
        }
      }}
    >
      <h2 className="text-xl font-semibold">Where do your marks go?</h2>
      <p className="leading-snug">
        Work them out first: the right ones are shown after you have sent yours, and yours count for your arithmetic.
      </p>
      {texts.map((text, i) => (
        <div key={i}>
          <label className="flex items-center gap-3 text-lg">
            <span className="w-20">Mark {i + 1}</span>
            <input
              value={text}
              placeholder="such as 14 3/8"
              autoComplete="off"
              onChange={(event) => {
                send.reset();
                setTexts(texts.map((each, k) => (k === i ? event.target.value : each)));
              }}
              className="figures h-12 w-full min-w-0 rounded-field border-2 border-base-content/60 bg-base-100 px-3 text-2xl"
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
