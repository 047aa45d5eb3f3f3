import type { Schemas } from '../api/client';
import type { BenchCore } from '../benchcore/useBenchCore';
import type { DisplayUnit } from '../entry/figures';
import { readFigure } from './typedFigures';

/** A test ninety as it is typed. */
export interface TypedNinety {
  straight: string;
  mark: string;
  markedLeg: string;
  otherLeg: string;
  angle: string;
}

export const BLANK_NINETY: TypedNinety = { straight: '', mark: '', markedLeg: '', otherLeg: '', angle: '90' };

export const COLUMNS = [
  { part: 'straight', name: 'Straight', kind: 'length' },
  { part: 'mark', name: 'Ring at', kind: 'length' },
  { part: 'markedLeg', name: 'Leg with the ring', kind: 'length' },
  { part: 'otherLeg', name: 'Other leg', kind: 'length' },
  { part: 'angle', name: 'Angle', kind: 'angle' },
] as const;

function isBlank(bend: TypedNinety): boolean {
  return [bend.straight, bend.mark, bend.markedLeg, bend.otherLeg].every((text) => text.trim() === '');
}

/** The same, and a blank line to go on at the end. */
export function withBlankNinety(bends: readonly TypedNinety[]): TypedNinety[] {
  const last = bends.at(-1);
  return last !== undefined && isBlank(last) ? [...bends] : [...bends, BLANK_NINETY];
}

/** What was typed: lines that are not whole yet are left out; and what cannot be read, by line. */
export function readNineties(
  core: BenchCore,
  typed: readonly TypedNinety[],
  unit: DisplayUnit,
): { tests: Schemas['TestBendInput'][]; problems: { line: number; message: string }[] } {
  const tests: Schemas['TestBendInput'][] = [];
  const problems: { line: number; message: string }[] = [];
  typed.forEach((bend, line) => {
    if (isBlank(bend)) {
      return;
    }
    const read = COLUMNS.map(({ part, kind }) => readFigure(core, bend[part], kind, unit));
    const wrong = read.find((each) => each !== undefined && 'problem' in each);
    if (wrong !== undefined && 'problem' in wrong) {
      problems.push({ line, message: wrong.problem });
    } else if (read.every((each) => each !== undefined)) {
      const [straightIn, markIn, markedLegIn, otherLegIn, angleDeg] = read.map((each) =>
        'value' in each ? each.value : 0,
      );
      tests.push({ straightIn, markIn, markedLegIn, otherLegIn, angleDeg } as Schemas['TestBendInput']);
    }
  });
  return { tests, problems };
}

/** Where the figures come from, for the record. */
export function sourceOf(bends: number): string {
  return bends === 1 ? 'Of one test bend' : `Of ${String(bends)} test bends`;
}
