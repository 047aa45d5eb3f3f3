import { useCallback, useEffect, useState } from 'react';
import type { Problem, Schemas } from '../api/client';
import { type LayoutAnswer, type LayoutRequest, useForesight, useLayout } from '../api/queries';
import { useQuantities } from '../benchcore/useQuantities';
import { useDisplayUnit } from '../frame/signedIn';
import { layoutRequest, tolerancesOf } from './asked';
import { bendersFor, type Draft, inputsOf, inUnit, isTooShort, missingFrom, type Sizes } from './draft';
import { amended, begin, changed, type History, redone, undone } from './history';
import { fieldsOfThing, isRun, thingPath } from './run';
import { useLastGood } from './useLastGood';

/** What is on the desk, and what the core says of it. */
export interface Desk {
  draft: Draft;
  /** Changes the draft; changes of the same thing in quick succession are one step back. */
  change: (what: string, next: (before: Draft) => Draft) => void;
  /** Changes what follows from something else: no step that could be taken back. */
  amend: (next: (before: Draft) => Draft) => void;
  /** Notes that it was saved: no step that could be taken back. */
  saved: (entry: Draft['entry']) => void;
  undo: () => void;
  redo: () => void;
  canUndo: boolean;
  canRedo: boolean;
  sizes: Sizes;
  /** Why some inputs are no sizes. */
  problems: Readonly<Record<string, Problem | null>>;
  /** The question to the core; undefined while something in it is no size. */
  request: LayoutRequest | undefined;
  /** The last answer; while a new one is on its way, or cannot be had, the one before. */
  plan: LayoutAnswer | undefined;
  problem: Problem | null;
  /** What the set method misses of what is asked; undefined until that is known. */
  foresight: Schemas['ForesightView'] | undefined;
  /** Whether the answer is to the question. */
  isCurrent: boolean;
  /** It cannot be laid out as it is set: what was laid out before is not an answer. */
  isRefused: boolean;
}

/** Keeps what is set, with its history, and has it laid out whenever it changes. */
export function useDesk(shed: Schemas['Shed'], first: () => Draft): Desk {
  const unit = useDisplayUnit();
  const [history, setHistory] = useState<History<Draft>>(() => begin(first()));
  const draft = history.present;
  const change = useCallback(
    (what: string, next: (before: Draft) => Draft) => {
      setHistory((before) => changed(before, withFittingBender(shed, next(before.present)), what, Date.now()));
    },
    [shed],
  );
  const amend = useCallback((next: (before: Draft) => Draft) => {
    setHistory((before) => amended(before, next(before.present)));
  }, []);
  const saved = useCallback(
    (entry: Draft['entry']) => {
      amend((before) => ({ ...before, entry }));
    },
    [amend],
  );
  const undo = useCallback(() => {
    setHistory((before) => knowingItsVersion(undone(before), before.present));
  }, []);
  const redo = useCallback(() => {
    setHistory((before) => knowingItsVersion(redone(before), before.present));
  }, []);
  useUndoKeys(undo, redo);
  const { sizes, problems } = useSizes(draft);
  const request = layoutRequest(shed, draft, sizes);
  if (draft.unit !== unit && request !== undefined) {
    setHistory(begin(inUnit(draft, unit, sizes)));
  }
  const layout = useLayout(request);
  const foresight = useForesight(layout.data === undefined ? undefined : request, tolerancesOf(shed, draft));
  return {
    draft,
    change,
    amend,
    saved,
    undo,
    redo,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    sizes,
    problems,
    request,
    // Another kind of bend has nothing in common with the last drawing.
    plan: useLastGood(layout.data, draft.kind),
    problem: layout.error,
    foresight: foresight.data,
    isCurrent: request !== undefined && layout.data !== undefined,
    isRefused:
      layout.error !== null ||
      isTooShort(draft) ||
      missingFrom(draft).length > 0 ||
      Object.values(problems).some((each) => each !== null),
  };
}

/** What was saved stays saved, also when the desk goes back to how it was before. */
function knowingItsVersion(history: History<Draft>, { entry }: Draft): History<Draft> {
  return history.present.entry.id === entry.id ? amended(history, { ...history.present, entry }) : history;
}

function withFittingBender(shed: Schemas['Shed'], draft: Draft): Draft {
  if (draft.conduitId === '') {
    return draft;
  }
  const fitting = bendersFor(shed, draft.conduitId);
  return fitting.some(({ id }) => id === draft.benderId) ? draft : { ...draft, benderId: fitting[0]?.id ?? '' };
}

/** The usual keys, also while a field has the focus: a field's own undo knows nothing of cures and choices. */
function useUndoKeys(undo: () => void, redo: () => void): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      if (!(event.ctrlKey || event.metaKey) || event.altKey || document.querySelector('dialog[open]') !== null) {
        return;
      }
      if (key === 'z' || key === 'y') {
        event.preventDefault();
        if (key === 'y' || event.shiftKey) {
          redo();
        } else {
          undo();
        }
      }
    };
    addEventListener('keydown', onKeyDown);
    return () => {
      removeEventListener('keydown', onKeyDown);
    };
  }, [undo, redo]);
}

/** What the inputs of the draft are as sizes, and why some are none. */
function useSizes(draft: Draft): Pick<Desk, 'sizes' | 'problems'> {
  const typed = [
    ...inputsOf(draft).map(({ name, kind }) => ({
      name,
      kind: kind === 'angle' ? ('angle' as const) : ('distance' as const),
      text: draft.texts[name] ?? '',
    })),
    ...(isRun(draft) ? draft.room : []).flatMap(({ kind, texts }, i) =>
      fieldsOfThing(kind).map(({ name, signed }) => ({
        name: thingPath(i, name),
        kind: signed ? ('signedLength' as const) : ('length' as const),
        text: texts[name] ?? '',
      })),
    ),
  ];
  const read = useQuantities(typed.map(({ kind, text }) => ({ kind, text, bare: draft.unit })));
  return {
    sizes: Object.fromEntries(typed.map(({ name }, i) => [name, read[i]?.value])),
    problems: Object.fromEntries(typed.map(({ name }, i) => [name, read[i]?.problem ?? null])),
  };
}
