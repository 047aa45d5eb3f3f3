import type { Schemas } from '../api/client';
import type { BenchCore } from '../benchcore/useBenchCore';
import type { DisplayUnit } from '../entry/figures';

/** A test bend as it is typed. */
export interface TypedBend {
  travel: string;
  underLoad: string;
  rest: string;
}

export const BLANK: TypedBend = { travel: '', underLoad: '', rest: '' };

type TestBend = Schemas['MachineTestInput'];

export function isBlank({ travel, underLoad, rest }: TypedBend): boolean {
  return [travel, underLoad, rest].every((text) => text.trim() === '');
}

/** The same, and a blank line to go on at the end. */
export function withBlank(bends: readonly TypedBend[]): TypedBend[] {
  const last = bends.at(-1);
  return last !== undefined && isBlank(last) ? [...bends] : [...bends, BLANK];
}

/**
 * What was typed as test bends: lines that are not whole yet are left out.
 *
 * @returns the bends with the number of the line that each was typed in, and what cannot be read, by line
 */
export function readBends(
  core: BenchCore,
  typed: readonly TypedBend[],
  unit: DisplayUnit,
): { bends: { line: number; test: TestBend }[]; problems: { line: number; message: string }[] } {
  const bends: { line: number; test: TestBend }[] = [];
  const problems: { line: number; message: string }[] = [];
  typed.forEach((bend, line) => {
    if (isBlank(bend)) {
      return;
    }
    const read = [
      core.read('leg', bend.travel, unit),
      core.read('angle1', bend.underLoad, unit),
      core.read('angle1', bend.rest, unit),
    ];
    const filled = [bend.travel, bend.underLoad, bend.rest].every((text) => text.trim() !== '');
    const wrong = read.find((each, i) => 'problem' in each && Object.values(bend)[i]?.trim() !== '');
    if (wrong !== undefined && 'problem' in wrong) {
      problems.push({ line, message: wrong.problem });
    } else if (filled) {
      const [travelIn, underLoadDeg, restDeg] = read.map((each) => ('value' in each ? each.value : 0));
      bends.push({ line, test: { travelIn, underLoadDeg, restDeg } as TestBend });
    }
  });
  return { bends, problems };
}

/** Where the figures come from, for the record. */
export function sourceWords(fit: Schemas['MachineTestsAnswer']): string {
  const count = fit.residuals.length;
  const scatter = [
    fit.travelScatterIn == null ? '' : `travel ±${fit.travelScatterIn.toFixed(3)} in`,
    fit.springbackScatterDeg == null ? '' : `springback ±${fit.springbackScatterDeg.toFixed(2)}°`,
  ].filter((text) => text !== '');
  return `${String(count)} test ${count === 1 ? 'bend' : 'bends'}${scatter.length === 0 ? '' : `, scatter: ${scatter.join(', ')}`}`;
}
