/** What else would do at the same place, made ready for its drawing and its list. Pure. */

import type { Schemas } from '../api/client';
import { along, type Box, boxAround, type Point } from '../drawing/geometry';
import { poseOf } from '../drawing/pose';
import type { Draft } from './draft';

export type Alternative = Schemas['AlternativeAnswer'];

/** One that can be laid out. */
export type Fitting = Alternative & {
  takes: NonNullable<Alternative['takes']>;
  shape: NonNullable<Alternative['shape']>;
};

export function fits(alternative: Alternative): alternative is Fitting {
  return alternative.takes != null && alternative.shape != null;
}

/** A piece on the drawing of all of them, inches, with where its bends begin. */
export interface Drawn {
  alternative: Fitting;
  line: readonly Point[];
  begins: Point;
}

/** Straight that is drawn before the first bend of all of them and after the last, inches. */
const AROUND = 3;

/** All that fit, over one another as they lie, cut to where they differ. */
export function drawnTogether(all: readonly Alternative[], outsideDiameter: number): { pieces: Drawn[]; box: Box } {
  const ends: Point[] = [];
  const pieces = all.filter(fits).map((alternative) => {
    const { place } = poseOf(alternative.shape, outsideDiameter);
    const line = alternative.shape.centreline.map(place);
    const bends = alternative.shape.arcs.flatMap(({ startIn, endIn }) => [
      along(line, startIn).point,
      along(line, endIn).point,
    ]);
    ends.push(...bends);
    return { alternative, line, begins: bends[0] ?? { x: 0, y: 0 } };
  });
  const inner = boxAround(ends);
  const box = {
    left: inner.left - AROUND,
    right: inner.right + AROUND,
    bottom: inner.bottom - outsideDiameter,
    top: inner.top + outsideDiameter,
  };
  return { pieces, box };
}

/** What an alternative is called in the list. */
export function nameOf({ angleDeg, title }: Alternative, benderLabel: string | undefined): string {
  return angleDeg == null ? (title ?? benderLabel ?? '') : `${String(Math.round(angleDeg * 10) / 10)}°`;
}

/** The draft with an alternative taken. */
export function takenInto(
  draft: Draft,
  { input, angleDeg, choice, option, bender }: Alternative,
  benders: readonly Schemas['BenderView'][],
): Draft {
  if (input != null && angleDeg != null) {
    return { ...draft, texts: { ...draft.texts, [input]: String(angleDeg) } };
  }
  if (choice != null && option != null) {
    return { ...draft, choices: { ...draft.choices, [choice]: option } };
  }
  const other = bender == null ? undefined : benders[bender];
  return other === undefined ? draft : { ...draft, conduitId: other.conduitId, benderId: other.id };
}
