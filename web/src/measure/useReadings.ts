import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Attempt, Feature } from '../api/queries';
import { type BenchCore, loadBenchCore } from '../benchcore/useBenchCore';
import { divisionFor } from '../drawing/tape';
import { useDisplayUnit } from '../frame/signedIn';
import { useKeep } from '../queue/outboxContext';
import { asMeant, expectedAt } from './datum';
import { isByLevel, takenOff } from './level';
import { stageOf } from './stages';
import { Pace, type TakenWith } from './takenWith';

/** What is wrong with what was typed, or what is asked about it. */
export type Query =
  { kind: 'problem'; message: string; suggestion: string } | { kind: 'slip'; text: string; off: number; meant: string };

/** The first feature that nobody has read yet. */
export function nextOpen(features: readonly Feature[], after?: string): Feature | undefined {
  const from = features.findIndex(({ id }) => id === after) + 1;
  const open = ({ state }: Feature) => state === 'open';
  return features.slice(from).find(open) ?? features.find(open);
}

/**
 * The readings of an attempt as they are being entered: what is typed, where the hands are, and what Enter does. Each
 * reading is on this device's disk before the next field opens; the server gets it as soon as it answers.
 */
export function useReadings(attempt: Attempt, core: BenchCore | undefined) {
  const unit = useDisplayUnit();
  const navigate = useNavigate();
  const keep = useKeep(attempt.id, attempt.trainee.fullName);
  const [texts, setTexts] = useState<Record<string, string>>({});
  const [active, setActive] = useState<string | undefined>(() => nextOpen(attempt.features)?.id);
  const [query, setQuery] = useState<Query>();
  const [pace] = useState(() => new Pace());
  const [tapped, setTapped] = useState(false);
  const [protractor, setProtractor] = useState(false);
  const [found, setFound] = useState(false);
  const coming = useRef(false);
  const feature: Feature | undefined = attempt.features.find(({ id }) => id === active);
  const text = active === undefined ? '' : (texts[active] ?? '');
  const division = divisionFor(attempt.exercise.definition.tapeDivisionIn ?? 1 / 16, unit);

  /** Degrees that are taken off what is typed for a feature. */
  const tilt = (id: string) => (protractor ? 0 : takenOff(attempt, id));
  const setText = (id: string, next: string, byPad: boolean) => {
    setQuery(undefined);
    setTapped(byPad);
    if (byPad || next === '') {
      pace.reset();
    }
    setTexts((before) => ({ ...before, [id]: next }));
  };
  const activate = (id: string | undefined) => {
    setQuery(undefined);
    pace.reset();
    setActive(id);
  };
  const write = (
    read: Feature,
    body: { text?: string; asAsked?: true; omitted?: string; instrument?: string },
    by: TakenWith,
  ) => {
    const task = {
      kind: 'reading' as const,
      body: {
        ...body,
        feature: read.id,
        bare: unit,
        takenWith: by,
        takenAt: new Date().toISOString(),
        stage: stageOf(attempt),
        ...(found && read.mayBeFound ? { asFound: true } : {}),
        ...(protractor && isByLevel(read.id) ? { byLevel: false } : {}),
        ...(read.taken === undefined || body.omitted !== undefined ? {} : { from: read.taken.from }),
      },
    };
    const features = attempt.features.map((each) => (each.id === read.id ? { ...each, state: 'read' as const } : each));
    void keep(task).then(() => {
      setTexts((before) => ({ ...before, [read.id]: '' }));
      pace.reset();
      setQuery(undefined);
      setActive(nextOpen(features, read.id)?.id ?? read.id);
    });
  };
  /** What was typed is read, asked about if it looks like a slip, and kept. */
  const enterText = (read: Feature, typed: string, by: TakenWith, instrument?: string) => {
    if (core === undefined) {
      // Whoever was quicker than the core: what was entered waits for it.
      if (!coming.current) {
        coming.current = true;
        loadBenchCore()
          .then((loaded) => {
            enterRead(loaded, read, typed, by, instrument);
          })
          .catch(() => {
            const message = 'A part of the application did not arrive. With signal, reload; what was kept stays kept.';
            setQuery({ kind: 'problem', message, suggestion: '' });
          })
          .finally(() => {
            coming.current = false;
          });
      }
      return;
    }
    enterRead(core, read, typed, by, instrument);
  };
  const enterRead = (rules: BenchCore, chosen: Feature, typed: string, by: TakenWith, instrument?: string) => {
    const said = rules.read(chosen.id, typed, unit);
    if ('problem' in said) {
      setQuery({ kind: 'problem', message: said.problem, suggestion: said.suggestion });
      return;
    }
    const off = tilt(chosen.id);
    const read = asMeant(rules, chosen, said.value - off);
    const near = Math.max(read.tolerance, read.under);
    const slips = expectedAt(attempt, read).map((at) => rules.slip(read.id, typed, unit, at + off, near));
    // Who rings on a wrong figure of their own has not been misread: it is a slip only where it is one from either place.
    // What was found on the piece is where it is.
    const slip = slips.includes(null) || (found && read.mayBeFound) ? null : (slips[0] ?? null);
    if (slip !== null && !(query?.kind === 'slip' && query.text === typed)) {
      setQuery({ kind: 'slip', text: typed, ...slip });
      return;
    }
    write(read, { text: typed, ...(instrument === undefined ? {} : { instrument }) }, by);
  };
  return {
    unit,
    text,
    texts,
    active: feature,
    query,
    setText,
    activate,
    key: (millis: number) => {
      pace.key(millis);
    },
    /** Enter: keep what was typed; with nothing typed, take the gauge's reading, or see the verdict if all is read. */
    enter: (gauge?: { text: string; label: string }) => {
      if (feature === undefined || text.trim() === '') {
        if (gauge !== undefined && feature?.state === 'open') {
          enterText(feature, gauge.text, 'gauge', gauge.label);
        } else if (nextOpen(attempt.features) === undefined) {
          void navigate(`/verdict/${attempt.id}`);
        }
        return;
      }
      if (feature.state === 'open') {
        enterText(feature, text.trim(), tapped ? 'pad' : pace.isBurst(text.length) ? 'wedge' : 'keys');
      }
    },
    takeMeant: () => {
      if (feature !== undefined && query !== undefined) {
        setText(feature.id, query.kind === 'slip' ? query.meant : query.suggestion, tapped);
      }
    },
    asAsked: () => {
      if (feature?.state === 'open') {
        write(feature, { asAsked: true }, 'asAsked');
      }
    },
    omit: (why: string) => {
      if (feature?.state === 'open') {
        write(feature, { omitted: why }, 'keys');
      }
    },
    nudge: (steps: 1 | -1) => {
      if (core !== undefined && feature !== undefined) {
        const at = feature.target + tilt(feature.id);
        setText(feature.id, core.nudge(feature.id, text, unit, at, division, steps), true);
      }
    },
    /** What is typed so far, judged: seen while it is typed. */
    live:
      core === undefined || feature === undefined || text.trim() === ''
        ? undefined
        : judged(core, feature, text, unit, tilt(feature.id)),
    /** Angles are read by protractor, so that no floor is taken off. */
    protractor,
    setProtractor,
    /** The last mark was found on the part-bent piece. */
    found,
    setFound,
  };
}

export type Readings = ReturnType<typeof useReadings>;

function judged(core: BenchCore, feature: Feature, text: string, unit: 'in' | 'mm', off: number) {
  const said = core.read(feature.id, text, unit);
  return 'value' in said
    ? core.judge(
        feature.id,
        said.value - off,
        asMeant(core, feature, said.value - off).target,
        feature.tolerance,
        feature.under,
      )
    : undefined;
}
