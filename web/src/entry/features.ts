/** What the features of a piece are called at the bench, and where to hold the tape or the level. */

const NAMES: Record<string, { name: string; hint: string }> = {
  mark: { name: 'Mark', hint: 'Datum end to the ring' },
  angle: { name: 'Angle', hint: 'At rest, by the level on the leg' },
  leg: { name: 'Leg', hint: 'Datum end face to the back of the bend' },
  otherLeg: { name: 'Other leg', hint: 'Back of the bend to the far end face' },
  between: { name: 'Back to back', hint: 'Back of the first bend to the back of the second' },
  secondLeg: { name: 'Second leg', hint: 'Back of the second bend to the far end face' },
  rise: { name: 'Rise', hint: 'Underside to underside, square to the datum leg' },
  roll: { name: 'Roll', hint: 'To the side, square to the datum leg' },
  height: { name: 'Height', hint: 'Underside to underside at the top, square to the datum leg' },
  centre: { name: 'Centre', hint: 'Datum end along the leg to below the highest point' },
  flat: { name: 'Flat', hint: 'Inner ring to inner ring' },
  landing: { name: 'Landing', hint: 'Datum end along the leg to the ring that has to land' },
  tailLift: {
    name: 'Far-end kick',
    hint: 'How far the far end kicks up off the line of the datum leg; − where it dips',
  },
  dogLeg: { name: 'Dog leg', hint: 'Angle between the planes of the bends' },
  overall: { name: 'Overall', hint: 'End face to end face along the datum leg' },
};

function parts(id: string): { family: string; number: string } {
  const [, family = id, number = ''] = /^(mark|angle)(\d)$/.exec(id) ?? [];
  return { family, number };
}

/**
 * What a feature is called.
 *
 * @param bends of the piece: where there is only one, its mark and its angle need no number
 */
export function featureName(id: string, bends = 2): string {
  const { family, number } = parts(id);
  const name = NAMES[family]?.name ?? id;
  return number === '' || bends === 1 ? name : `${name} ${number}`;
}

/** Where to hold the tape or the level. */
export function featureHint(id: string): string {
  return NAMES[parts(id).family]?.hint ?? '';
}
