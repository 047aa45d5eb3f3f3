import { type BareUnit } from '../api/queries';
import { Problem } from '../api/client';
import { type BenchCore, useBenchCore } from './useBenchCore';

/** A text in a field that takes a size. */
export interface Typed {
  /** A distance may also be two readings of a tape. */
  kind: 'length' | 'signedLength' | 'angle' | 'percentage' | 'distance';
  text: string;
  bare: BareUnit;
}

/** What a text is: a size, no size, or, where there is nothing to read yet, neither. */
export interface Quantity {
  /** Inches, degrees or per cent. */
  value: number | undefined;
  problem: Problem | null;
}

const NOTHING: Quantity = { value: undefined, problem: null };

/** What was typed into some fields, in their order, read by the core that comes with the screens: no key waits for the server. */
export function useQuantities(typed: readonly Typed[]): Quantity[] {
  const core = useBenchCore();
  return typed.map((each) => (core === undefined ? NOTHING : readQuantity(core, each)));
}

/** Empty text asks nothing. */
export function readQuantity(core: BenchCore, { kind, text, bare }: Typed): Quantity {
  if (text.trim() === '') {
    return NOTHING;
  }
  const read = core.quantity(kind, text, bare);
  if ('value' in read) {
    return { value: read.value, problem: null };
  }
  const { problem: message, suggestion, code } = read;
  const error = { pointer: '/text', code, message, ...(suggestion === '' ? {} : { suggestion }) };
  return { value: undefined, problem: new Problem(400, message, [error]) };
}
