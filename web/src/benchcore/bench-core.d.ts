/** The core's rules of taking a reading, compiled from Java (module inbrowser). Lengths in inches, angles in degrees. */
declare module 'bench-core' {
  /** What was typed: its value, or what is wrong with it and what was probably meant (empty if nobody knows). */
  export function read(
    feature: string,
    text: string,
    bare: 'in' | 'mm',
  ): { value: number } | { problem: string; suggestion: string };

  /** What was typed into a field that takes a size; a distance may also be two readings of a tape. */
  export function quantity(
    kind: 'angle' | 'length' | 'distance',
    text: string,
    bare: 'in' | 'mm',
  ): { value: number } | { problem: string; suggestion: string; code: string };

  /** How far a reading is off, and what that is worth; with how much it may be over and under. */
  export function judge(
    feature: string,
    value: number,
    target: number,
    over: number,
    under: number,
  ): { deviation: number; credit: number; band: 'close' | 'within' | 'outside' };

  /** Where a figure of a mark was measured from, if somebody chose one: a right one is right from either. */
  export function datum(
    value: number,
    fromEnd: number,
    fromBack: number,
    near: number,
    chosen: 'end' | 'back',
  ): 'end' | 'back';

  /** Whether a text looks like a slip of the finger; `meant` is empty if nobody knows. */
  export function slip(
    feature: string,
    text: string,
    bare: 'in' | 'mm',
    target: number,
    tolerance: number,
  ): { off: number; meant: string } | null;

  /** The text of the next line of the tape; from what is asked for where nothing readable is typed. */
  export function nudge(
    feature: string,
    text: string,
    bare: 'in' | 'mm',
    target: number,
    divisionIn: number,
    steps: number,
  ): string;
}
