import type { BenchCore } from '../benchcore/useBenchCore';
import type { DisplayUnit } from '../entry/figures';

/** What was typed as a length or an angle, or what is wrong with it; nothing where nothing was typed. */
export function readFigure(
  core: BenchCore,
  text: string,
  kind: 'length' | 'angle',
  unit: DisplayUnit,
): { value: number } | { problem: string } | undefined {
  if (text.trim() === '') {
    return undefined;
  }
  return core.read(kind === 'length' ? 'leg' : 'angle1', text, unit);
}
