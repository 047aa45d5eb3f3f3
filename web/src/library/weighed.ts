import { featureName } from '../entry/features';

/** Features that a school weighs and limits together, under one name. */
export interface Weighed {
  name: string;
  ids: readonly string[];
  kind: 'length' | 'angle';
}

const LENGTHS = ['leg', 'otherLeg', 'between', 'secondLeg', 'rise', 'roll', 'height', 'centre', 'flat', 'landing'];

export const WEIGHED: readonly Weighed[] = [
  { name: 'Marks', ids: ['mark1', 'mark2', 'mark3', 'mark4'], kind: 'length' },
  { name: 'Angles', ids: ['angle1', 'angle2', 'angle3', 'angle4'], kind: 'angle' },
  ...[...LENGTHS, 'tailLift', 'overall'].map((id) => ({ name: featureName(id), ids: [id], kind: 'length' as const })),
  { name: featureName('dogLeg'), ids: ['dogLeg'], kind: 'angle' },
];
