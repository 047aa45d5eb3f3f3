import type { Schemas } from '../api/client';

/** A part of the form of a set of tolerances: it shows figures, and says which of them change. */
export interface PartProps {
  figures: Schemas['ToleranceFigures'];
  change: (part: Partial<Schemas['ToleranceFigures']>) => void;
}

export const NUMBER = 'figures h-9 w-20 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-right';
