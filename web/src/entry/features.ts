/** What the features of a piece are called at the bench. */

const NAMES: Record<string, string> = {
  mark1: 'Mark',
  leg: 'Leg',
  angle1: 'Angle',
  otherLeg: 'Other leg',
};

const HINTS: Record<string, string> = {
  mark1: 'Datum end to the ring',
  leg: 'Datum end face to the back of the bend',
  angle1: 'At rest, by the level on the leg',
  otherLeg: 'Back of the bend to the far end face',
};

export function featureName(id: string): string {
  return NAMES[id] ?? id;
}

/** Where to hold the tape or the level. */
export function featureHint(id: string): string {
  return HINTS[id] ?? '';
}
