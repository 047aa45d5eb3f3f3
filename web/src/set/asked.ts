import type { LayoutRequest } from '../api/queries';
import type { Schemas } from '../api/client';
import { type BendInput, type End, kindOf } from '../bends/kinds';
import { writtenParts } from '../bends/parts';
import { chosen, type Draft, inputsOf, isTooShort, methodOf, type Sizes, toolingOf } from './draft';
import { endsOf } from './fittings';
import { isRun, writtenRoom } from './run';

/** The question to the core, once everything that must be a size is one. */
export function layoutRequest(shed: Schemas['Shed'], draft: Draft, sizes: Sizes): LayoutRequest | undefined {
  const tooling = toolingOf(shed, draft);
  const { kind, inputs, choices } = kindOf(draft.kind);
  const open = inputsOf(draft).filter(({ name }) => sizes[name] === undefined);
  const room = isRun(draft) ? writtenRoom(draft, sizes) : [];
  if (
    tooling === undefined ||
    room === undefined ||
    isTooShort(draft) ||
    open.some(({ name, optional }) => optional !== true || (draft.texts[name] ?? '').trim() !== '')
  ) {
    return undefined;
  }
  const bend = {
    kind,
    ...Object.fromEntries(inputs.map(({ name }) => [name, sizes[name] ?? null])),
    ...Object.fromEntries(choices.map(({ name, options }) => [name, chosen(draft, name, options)])),
    ...writtenParts(
      kind,
      draft.parts,
      (path) => sizes[path],
      (path, options) => draft.choices[path] ?? options[0]?.value ?? '',
    ),
  };
  const request: LayoutRequest = {
    method: methodOf(draft),
    tapeDivisionIn: draft.divisionIn,
    conduit: tooling.conduit,
    bender: tooling.bender,
    // Inputs and choices of a kind are those of its record in the interface; the table is held to it by a test.
    bend: bend as BendInput,
  };
  if (draft.situation === '' && draft.fitted === 'none' && room.length === 0) {
    return request;
  }
  const insertionAt = (end: End) => (endsOf(draft.fitted).includes(end) ? (sizes.insertionIn ?? null) : null);
  return {
    ...request,
    place: {
      situation: draft.situation === '' ? null : draft.situation,
      // A situation with a box that nothing goes into any more has none.
      insertionIn: null,
      startInsertionIn: insertionAt('start'),
      endInsertionIn: insertionAt('end'),
      ...(room.length === 0 ? {} : { room }),
    },
  };
}

/** The exercise as it is saved and given. */
export function exerciseOf(
  shed: Schemas['Shed'],
  draft: Draft,
  request: LayoutRequest,
  variation: Schemas['VariationInput'] | undefined,
): Schemas['ExerciseInput'] {
  const tooling = toolingOf(shed, draft);
  const texts = inputsOf({ ...draft, fitted: 'none' }).flatMap(({ name }) => {
    const text = (draft.texts[name] ?? '').trim();
    return text === '' ? [] : [[name, text] as const];
  });
  return {
    title: draft.title,
    level: draft.level,
    tags: draft.tags
      .split(',')
      .map((tag) => tag.trim())
      .filter((tag) => tag !== ''),
    conduitLabel: tooling?.conduitLabel ?? '',
    benderLabel: tooling?.benderLabel ?? '',
    definition: request,
    entered: { unit: draft.unit, texts: Object.fromEntries(texts) },
    tolerances: tolerancesOf(shed, draft),
    readings: draft.readings,
    ...(draft.methodFree ? { methodFree: true } : {}),
    ...(variation === undefined ? {} : { variation }),
  };
}

/** The chosen set of tolerances as the shed has it now, else as it came with the exercise. */
export function tolerancesOf(shed: Schemas['Shed'], { preset, judgedBy }: Draft): Schemas['ToleranceInput'] | null {
  return (
    shed.tolerances.find((each) => each.preset === preset) ??
    (judgedBy?.preset === preset ? judgedBy : undefined) ??
    null
  );
}
