import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { Figure } from '../entry/Figure';
import { datumWords } from '../measure/datum';
import { SumWritten } from '../set/SumWritten';
import { StepByStep } from './StepByStep';

type Sheet = Schemas['BenchSheet'];
type Band = NonNullable<Schemas['OwnFigureAnswer']['band']>;

const BANDS: Record<Band, string> = { close: '● right', within: '◐ near enough', outside: '✕ look again' };

interface Told {
  about: string;
  name: string;
  text: string;
  band: Band | null | undefined;
  from: string | undefined;
}

/** The trainee's figures once they are in: which are right, a hint first, the answer only when it is asked for, then the bending. */
export function FiguresTold({ code, sheet, justSent = false }: { code: string; sheet: Sheet; justSent?: boolean }) {
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    // The fields that had the focus are gone; whoever works by keyboard or by ear goes on here.
    if (justSent) {
      heading.current?.focus();
    }
  }, [justSent]);
  const [hinted, setHinted] = useState<ReadonlySet<string>>(new Set());
  const [shown, setShown] = useState(false);
  const told = toldOf(sheet);
  const wrong = told.filter(({ band }) => band === 'outside');
  const path = { params: { path: { code } } };
  const hints = useQuery<Schemas['Hint'][], Problem>({
    queryKey: ['bench', code, 'hints'],
    queryFn: () => body(api.GET('/api/benches/{code}/hints', path)),
    enabled: hinted.size > 0,
  });
  // Whoever has it right may see how it is bent; whoever has not asks for the answer first.
  const ready = sheet.answersShown && (shown || wrong.length === 0);
  const answer = useQuery<Schemas['SheetAnswer'], Problem>({
    queryKey: ['bench', code, 'answer'],
    queryFn: () => body(api.GET('/api/benches/{code}/answer', path)),
    enabled: ready,
  });
  return (
    <>
      <section aria-label="Your figures" className="grid gap-1 border-t-2 border-base-content/60 pt-2">
        <h2 ref={heading} tabIndex={-1} className="text-xl font-semibold">
          Your figures
        </h2>
        <ul>
          {told.map((figure) => (
            <li key={figure.about} className="border-t border-base-300 py-1 text-lg">
              <div className="flex items-baseline gap-3">
                <span className="w-20">
                  {figure.name}
                  {figure.from !== undefined && <span className="block text-sm leading-tight">{figure.from}</span>}
                </span>
                <span className="figures text-2xl">{figure.text}</span>
                {figure.band != null && <span className="ml-auto text-right">{BANDS[figure.band]}</span>}
              </div>
              {figure.band === 'outside' && (
                <Hint
                  name={figure.name}
                  words={hinted.has(figure.about) ? wordsOf(hints.data, figure.about) : undefined}
                  onAsk={() => {
                    setHinted(new Set([...hinted, figure.about]));
                  }}
                />
              )}
              {shown && figure.band !== 'close' && <Right answer={answer.data} about={figure.about} />}
            </li>
          ))}
        </ul>
        {[hints.error, answer.error].map(
          (error) =>
            error !== null && (
              <p key={error.message} role="alert" className="text-error">
                ✕ {error.message}
              </p>
            ),
        )}
        {!sheet.answersShown && <p className="leading-snug">This one is assessed: the right figures come later.</p>}
        {sheet.answersShown && wrong.length > 0 && !shown && (
          <button
            type="button"
            className="btn h-12 border-2 border-base-content/60 text-lg"
            disabled={wrong.some(({ about }) => !hinted.has(about))}
            onClick={() => {
              setShown(true);
            }}
          >
            Show the answer
          </button>
        )}
        {sheet.answersShown && !shown && wrong.some(({ about }) => !hinted.has(about)) && (
          <p className="text-base leading-snug">First take a hint for each that is not right, and look again.</p>
        )}
      </section>
      {ready && answer.data !== undefined && (
        <StepByStep job={sheet.job} plan={answer.data.plan} bending={answer.data.bending} />
      )}
    </>
  );
}

function toldOf(sheet: Sheet): Told[] {
  const marks = (sheet.own ?? []).map(({ mark, text, band, from }) => ({
    about: `mark${String(mark)}`,
    name: `Mark ${String(mark)}`,
    text,
    band,
    from: sheet.backs[mark - 1] == null ? undefined : datumWords(from ?? 'end', sheet.backs[mark - 1] ?? 1),
  }));
  return sheet.cut == null
    ? marks
    : [...marks, { about: 'cutLength', name: 'Cut to', text: sheet.cut.text, band: sheet.cut.band, from: undefined }];
}

function wordsOf(hints: readonly Schemas['Hint'][] | undefined, about: string): string {
  return hints === undefined ? '…' : (hints.find((hint) => hint.about === about)?.words ?? 'Work it out once more.');
}

function Hint({ name, words, onAsk }: { name: string; words: string | undefined; onAsk: () => void }) {
  return words === undefined ? (
    <button
      type="button"
      className="min-h-11 underline underline-offset-4"
      onClick={onAsk}
      aria-label={`A hint for ${name}`}
    >
      A hint
    </button>
  ) : (
    <p className="border-l-4 border-info pl-2 text-base leading-snug" role="status">
      {words}
    </p>
  );
}

/** The right figure, and how it is worked out. */
function Right({ answer, about }: { answer: Schemas['SheetAnswer'] | undefined; about: string }) {
  const why = answer?.why.find((each) => each.about === about);
  if (why === undefined) {
    return null;
  }
  return (
    <div className="border-l-4 border-success pl-2">
      It is <Figure value={why.rounded ?? why.result} unit={why.unit} className="text-2xl" />
      <SumWritten explanation={why} />
    </div>
  );
}
