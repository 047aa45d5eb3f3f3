import type { FigureUnit } from '../entry/figures';
import type { Figures } from './benderQueries';

/** The figures of a bender that are one number each, in the order of its card. */
export const FIGURES: readonly { name: keyof Figures & string; words: string; unit: FigureUnit }[] = [
  { name: 'takeUpIn', words: 'Take-up (deduct)', unit: 'in' },
  { name: 'radiusIn', words: 'Radius, centreline', unit: 'in' },
  { name: 'springbackDeg', words: 'Springback', unit: 'deg' },
  { name: 'minSpacingIn', words: 'Least between bends', unit: 'in' },
  { name: 'minStubIn', words: 'Least stub', unit: 'in' },
  { name: 'minStandingIn', words: 'Least past the shoe', unit: 'in' },
  { name: 'minPastShoeIn', words: 'Least past the shoe', unit: 'in' },
];

/** What the class tells of, as it is called, and the figure of the bender that it is. */
export const TOLD: Record<string, { words: string; unit: FigureUnit; name: keyof Figures & string }> = {
  takeUp: { words: 'Take-up', unit: 'in', name: 'takeUpIn' },
  radius: { words: 'Radius', unit: 'in', name: 'radiusIn' },
  springback: { words: 'Springback', unit: 'deg', name: 'springbackDeg' },
};

export const STATES = {
  IN_USE: { name: 'in use', sign: '●' },
  DOUBTFUL: { name: 'doubtful', sign: '▲' },
  OUT: { name: 'out', sign: '✕' },
} as const;

export const TOOLS = { shoe: 'by hand', machine: 'machine', former: 'with heat' } as const;
