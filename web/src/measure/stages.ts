import type { Schemas } from '../api/client';
import type { Attempt, Feature } from '../api/queries';
import { describedAs } from '../entry/features';

export type Stage = Schemas['StageView'];

/** Each time that a piece was bent again; a device may remember a piece from before that was counted. */
export function stagesOf(attempt: Attempt): readonly Stage[] {
  return (attempt.bench as Partial<Schemas['BenchNotes']>).stages ?? [];
}

/** 1 as first bent, one more after each time that it was bent again. */
export function stageOf(attempt: Attempt): number {
  return stagesOf(attempt).length + 1;
}

/** Whether it is read anew once the piece was bent again: a ring stays where it is. */
export function isReadAnew({ id }: Pick<Feature, 'id'>): boolean {
  return describedAs(id)?.ofFinishedPiece === true;
}

/** Whether something is read of the piece as it is, so that it can be said that it was bent again. */
export function canBeBentAgain(attempt: Attempt): boolean {
  return (
    attempt.bench.seal?.sealed !== true &&
    attempt.features.some((feature) => isReadAnew(feature) && feature.reading?.value != null)
  );
}

/** What was done to which bend, in words: eased out at bend 1, bent on at bend 2. */
export function doneWords({ bends }: Pick<Stage, 'bends'>, of: number): string {
  const words = bends.map(
    ({ bend, change }) => (change === 'eased' ? 'eased out' : 'bent on') + (of === 1 ? '' : ` at bend ${String(bend)}`),
  );
  return words.length === 0 ? 'bent again' : words.join(', ');
}
