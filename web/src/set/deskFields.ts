import type { Schemas } from '../api/client';
import { ANGLE_STEP_DEG, type InputField } from '../bends/kinds';
import { divisionFor } from '../drawing/tape';
import { type DisplayUnit, quantityText, kindOfUnit, type QuantityKind } from '../entry/figures';
import { type Draft, inputsOf, type Sizes } from './draft';
import { asSum } from './fittings';
import type { FieldProps } from './SetPanel';
import type { Desk } from './useDesk';

/** The inputs of what is on the desk, by name: as they stand on the drawing, and in the list. */
export function fieldsOf(desk: Desk): ReadonlyMap<string, FieldProps> {
  return new Map(inputsOf(desk.draft).map((input) => [input.name, fieldOf(input, desk)]));
}

function fieldOf(input: InputField, { draft, change, sizes, problems, problem }: Desk): FieldProps {
  const size = sizes[input.name];
  const onText = (text: string) => {
    change(`texts.${input.name}`, (before) => ({
      ...before,
      texts: { ...before.texts, [input.name]: text },
      // Whoever writes a clearance means that one.
      ...(input.name === 'clearanceIn' ? { toWholeInch: false } : {}),
    }));
  };
  return {
    label: input.label,
    kind: input.kind,
    text: draft.texts[input.name] ?? '',
    onText,
    problem: problems[input.name] ?? null,
    doubtful: problem?.errors.some(({ pointer }) => pointer === `/bend/${input.name}`) === true,
    comesTo: size,
    onNudge: (steps) => {
      if (size !== undefined) {
        const step = input.kind === 'angle' ? ANGLE_STEP_DEG : divisionFor(draft.divisionIn, draft.unit);
        const next = Math.max(0, size + steps * step);
        onText(asSum(draft, input.name, next, sizes, (each) => sizeText(each, input.kind, draft.unit)));
      }
    },
    optional: input.optional === true,
  };
}

/** A size as somebody would type it. */
function sizeText(size: number, kind: QuantityKind, unit: DisplayUnit): string {
  return kind === 'length' ? quantityText(size, 'in', unit, { lines: 32 }) : String(size);
}

/** The draft with a cure applied: an input's size, or one of the choices. */
export function cured(draft: Draft, cure: Schemas['CureAnswer'], sizes: Sizes): Draft {
  const name = cure.pointer.replace(/^\/bend\//, '');
  if (cure.pointer === '/method') {
    return { ...draft, methodFree: false, method: cure.option === 'exact' ? 'exact' : 'chart' };
  }
  if (cure.pointer === '/tolerances/preset') {
    return { ...draft, preset: cure.option ?? draft.preset };
  }
  if (cure.value != null) {
    const kind = kindOfUnit(cure.unit ?? 'in');
    const text = asSum(draft, name, cure.value, sizes, (size) => sizeText(size, kind, draft.unit));
    return { ...draft, texts: { ...draft.texts, [name]: text } };
  }
  return cure.option == null ? draft : { ...draft, choices: { ...draft.choices, [name]: cure.option } };
}
