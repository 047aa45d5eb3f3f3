import { FEATURES } from '../bends/kinds';
import { kindOfUnit, type QuantityKind } from '../entry/figures';
import { featureName, featureOf } from '../entry/features';
import type { Schemas } from '../api/client';

type Figures = Schemas['ToleranceFigures'];

/** What a school weighs and limits: all features of a kind, or one of them of which something else is said. */
export interface Weighed {
  name: string;
  id: string;
  kind: QuantityKind;
}

/** The rows of a set of tolerances: the kinds, marks and angles first, each followed by those of which something else is said. */
export function weighedIn({ weights, critical, limits }: Figures): readonly Weighed[] {
  const said = [...new Set([weights, critical, limits].flatMap((each) => Object.keys(each ?? {})))];
  const first = FEATURES.filter(({ numbered }) => numbered);
  const rest = FEATURES.filter(({ numbered }) => !numbered);
  return [...first, ...rest].flatMap(({ id, name, unit, numbered }) => {
    const kind = kindOfUnit(unit);
    const single = said.filter((other) => other !== id && featureOf(other).kind === id).sort();
    return [
      { name: numbered ? `${name}s` : name, id, kind } as const,
      ...single.map((other) => ({ name: featureName(other), id: other, kind }) as const),
    ];
  });
}
