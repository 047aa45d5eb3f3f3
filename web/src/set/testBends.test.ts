import * as core from 'bench-core';
import { describe, expect, it } from 'vitest';
import { BLANK, readBends, sourceWords, withBlank } from './testBends';

const line = (travel: string, underLoad: string, rest: string) => ({ travel, underLoad, rest });
const fit = (residuals: number[], travelScatterIn: number | null = 0.03) => ({
  springback: [],
  ramTravel: [],
  springbackScatterDeg: null,
  travelScatterIn,
  doubtful: null,
  residuals: residuals.map((travelIn) => ({ springbackDeg: 0, travelIn })),
});

describe('test bends', () => {
  it('are read as people write them, whole lines only', () => {
    const { bends, problems } = readBends(core, [line('8 7/8', '93 1/2', '90'), line('4 1/8', '', ''), BLANK], 'in');
    expect(bends).toEqual([{ line: 0, test: { travelIn: 8.875, underLoadDeg: 93.5, restDeg: 90 } }]);
    expect(problems).toEqual([]);
  });

  it('that cannot be read are named by their line', () => {
    const { bends, problems } = readBends(core, [line('8', '90', '88'), line('8 7/8', 'far', '90')], 'in');
    expect(bends).toHaveLength(1);
    expect(problems).toHaveLength(1);
    expect(problems[0]?.line).toBe(1);
  });

  it('always leave a blank line to go on', () => {
    expect(withBlank([line('1', '', '')])).toEqual([line('1', '', ''), BLANK]);
    expect(withBlank([line('1', '', ''), BLANK])).toHaveLength(2);
  });

  it('say on record where the figures come from', () => {
    expect(sourceWords(fit([0.1, 0.1, 0.1, 0.1, 0.1]))).toBe('5 test bends, scatter: travel ±0.030 in');
    expect(sourceWords(fit([0], null))).toBe('1 test bend');
  });
});
