// Made from the module inbrowser: see its TypesTest.

/** What a screen asks the core while it has no signal. Lengths are inches and angles degrees, as in the interface; features go by their ids. */
declare module 'bench-core' {
  /** What was typed for a feature: its value, or what is wrong with it and what was probably meant. */
  export function read(feature: string, text: string, bare: 'in' | 'mm'): TextRead;

  /** What was typed for a level on the floor, with its sign: degrees, or what is wrong with it. */
  export function floor(text: string): TextRead;

  /** What was typed into a field that takes a size: its value, or what is wrong with it. */
  export function quantity(kind: 'length' | 'signedLength' | 'distance' | 'angle' | 'percentage', text: string, bare: 'in' | 'mm'): TextRead;

  /** How far a reading is off, and what that is worth; with how much it may be over and under. */
  export function judge(feature: string, value: number, target: number, over: number, under: number): Judgement;

  /** Where a figure of a mark was measured from, if somebody chose one of them: a right one is right from either. */
  export function datum(value: number, fromEnd: number, fromBack: number, near: number, chosen: 'end' | 'back'): 'end' | 'back';

  /** Whether a text looks like a slip of the finger; null if it does not, or if it is no reading at all. */
  export function slip(feature: string, text: string, bare: 'in' | 'mm', target: number, tolerance: number): Slip | null;

  /** The text of the next line of the tape; from what is asked for where nothing readable is typed. */
  export function nudge(feature: string, text: string, bare: 'in' | 'mm', target: number, divisionIn: number, steps: number): string;

  /** What a text was read as. */
  export type TextRead = Value | NoSize;

  /** A size, in inches or degrees. */
  export interface Value {
    value: number;
  }

  /** No size: what is wrong, with its code, and what was probably meant (empty if nobody knows). */
  export interface NoSize {
    problem: string;
    suggestion: string;
    code: string;
  }

  /** How far a reading is off, and what that is worth. */
  export interface Judgement {
    deviation: number;
    credit: number;
    band: 'close' | 'within' | 'outside';
  }

  /** A slip of the finger: how far the text is off, and what was probably meant (empty if nobody knows). */
  export interface Slip {
    off: number;
    meant: string;
  }

}
