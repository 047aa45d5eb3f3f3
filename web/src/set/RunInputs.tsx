import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { inputsOfPart, type Part, partsOf } from '../bends/parts';
import { Figure } from '../entry/Figure';
import { QuantityField } from '../entry/QuantityField';
import { Select } from '../frame/Select';
import type { FieldProps } from './SetPanel';
import {
  DIRECTIONS,
  fieldsOfThing,
  isSquare,
  type Leg,
  legOf,
  legsOf,
  solidOf,
  SOLIDS,
  thingPath,
  type Towards,
  towardsAt,
  turnedLeg,
  waysOf,
  withOnLeg,
  withReadings,
  withThing,
} from './run';
import { lengthOf } from './runLegs';
import type { Desk } from './useDesk';

interface RunInputsProps {
  desk: Desk;
  fields: ReadonlyMap<string, FieldProps>;
}

/** Everything that a run is made of, as a list: its legs, what lies on them, its boxes, and the room. */
export function RunInputs({ desk, fields }: RunInputsProps) {
  const legs = legsOf(desk.draft);
  return (
    <div className="grid gap-2">
      {legs.length === 0 ? (
        <p className="text-lg leading-snug">
          No legs yet. Each runs one of six ways, as you face the wall where the run begins.
        </p>
      ) : (
        <ol aria-label="Legs" className="grid gap-2">
          {legs.map((leg) => (
            <LegRow key={leg.number} leg={leg} desk={desk} fields={fields} />
          ))}
        </ol>
      )}
      <Ends desk={desk} fields={fields} />
      <RoomList desk={desk} />
    </div>
  );
}

const SORTS = [
  { value: '', name: 'nothing' },
  { value: 'offset', name: 'offset' },
  { value: 'saddle3', name: 'saddle, 3' },
  { value: 'saddle4', name: 'saddle, 4' },
];

/** One leg: how long, which way, how it was measured, and what lies on it. */
function LegRow({ leg, desk, fields }: { leg: Leg; desk: Desk; fields: RunInputsProps['fields'] }) {
  const { draft, change, sizes } = desk;
  const { number, part, towards, readings } = leg;
  const parts = partsOf(draft.kind, draft.parts);
  const on = parts.find((each) => each.group === 'along' && legOf(draft, each) === number);
  const size = lengthOf(leg, sizes);
  const ways = waysOf(draft, number);
  const [play, measured] = [`${part.path}/playIn`, inputsOfPart(part).map(({ name }) => name)];
  return (
    <li className="grid grid-cols-6 items-end gap-x-2 gap-y-1 border-t border-base-300 pt-1.5" data-leg={number}>
      {measured
        .filter((name) => name !== play)
        .map((name) => (
          <div key={name} className="col-span-3">
            <Fields names={[name]} fields={fields} />
          </div>
        ))}
      <div className="col-span-3">
        <Select
          label={`Leg ${String(number)} runs`}
          value={towards}
          options={(ways.some((way) => way.towards === towards)
            ? ways
            : [...ways, ...DIRECTIONS.filter((each) => each.towards === towards)]
          ).map((way) => ({ value: way.towards, name: `${way.sign} ${way.words}` }))}
          onChange={(way) => {
            change(`leg ${String(number)} turned`, (before) => turnedLeg(before, number, way as Towards));
          }}
        />
      </div>
      {readings && (
        <p className="col-span-3 self-center text-lg leading-tight">
          {size === undefined ? null : (
            <>
              = <Figure value={size} unit="in" fine />
            </>
          )}
        </p>
      )}
      <div className="col-span-2">
        <Fields names={[play]} fields={fields} />
      </div>
      <div className="col-span-2">
        <Select
          label={`On leg ${String(number)}`}
          value={on?.sort ?? ''}
          options={SORTS}
          onChange={(sort) => {
            change(`on leg ${String(number)}`, (before) => withOnLeg(before, number, sort));
          }}
        />
      </div>
      <label className="col-span-2 flex min-h-11 items-center gap-2 text-sm leading-tight">
        <input
          type="checkbox"
          className="size-5 shrink-0"
          checked={readings}
          onChange={(event) => {
            const { checked } = event.target;
            change(`readings of leg ${String(number)}`, (before) => withReadings(before, number, checked, size));
          }}
        />
        two readings
      </label>
      {on !== undefined && (
        <div className="col-span-full grid grid-cols-2 gap-x-2 gap-y-1">
          <PartFields part={on} desk={desk} fields={fields} />
        </div>
      )}
    </li>
  );
}

/** What a part asks for: its sizes, which way it moves the conduit, and its other choices. */
function PartFields({ part, desk, fields }: { part: Part; desk: Desk; fields: RunInputsProps['fields'] }) {
  const { draft, change } = desk;
  const legs = legsOf(draft);
  const leg =
    part.group === 'startOffset'
      ? legs[0]
      : part.group === 'endOffset'
        ? legs.at(-1)
        : legs[(legOf(draft, part) ?? 1) - 1];
  const choose = (name: string, value: string) => {
    change(`${part.path}/${name}`, (before) => ({
      ...before,
      choices: { ...before.choices, [`${part.path}/${name}`]: value },
    }));
  };
  return (
    <>
      <Fields names={inputsOfPart(part).map(({ name }) => name)} fields={fields} />
      {part.asks.choices.map(({ name, label, options }) =>
        name === 'towards' ? (
          <Select
            key={name}
            label="Conduit moves"
            value={towardsAt(draft, part.path)}
            options={DIRECTIONS.filter(({ towards }) => leg === undefined || isSquare(towards, leg.towards)).map(
              ({ towards, sign, words }) => ({ value: towards, name: `${sign} ${words}` }),
            )}
            onChange={(value) => {
              choose(name, value);
            }}
          />
        ) : (
          <Select
            key={name}
            label={label}
            value={draft.choices[`${part.path}/${name}`] ?? options[0]?.value ?? ''}
            options={options}
            onChange={(value) => {
              choose(name, value);
            }}
          />
        ),
      )}
    </>
  );
}

function Fields({ names, fields }: { names: readonly string[]; fields: RunInputsProps['fields'] }): ReactNode {
  return names.map((name) => {
    const field = fields.get(name);
    return field === undefined ? null : <QuantityField key={name} {...field} place="list" />;
  });
}

/** How deep the ends go into their fittings, and the offsets at the boxes. */
function Ends({ desk, fields }: RunInputsProps) {
  const parts = partsOf(desk.draft.kind, desk.draft.parts);
  return (
    <div className="grid grid-cols-2 gap-x-2 gap-y-1 border-t-2 border-base-300 pt-1.5">
      <Fields names={['startInsertionIn', 'endInsertionIn']} fields={fields} />
      {parts
        .filter(({ group }) => group === 'startOffset' || group === 'endOffset')
        .map((part) => (
          <PartFields key={part.path} part={part} desk={desk} fields={fields} />
        ))}
    </div>
  );
}

/** What stands in the room: walls, columns, doors, ducts. */
function RoomList({ desk }: { desk: Desk }) {
  const { draft, change, problems } = desk;
  return (
    <section aria-label="Room" className="grid gap-1.5 border-t-2 border-base-300 pt-1.5">
      <Select
        label="In the room"
        value=""
        options={[
          { value: '', name: 'Put something there…' },
          ...SOLIDS.map(({ kind, name }) => ({ value: kind, name })),
        ]}
        onChange={(value) => {
          const solid = SOLIDS.find(({ kind }) => kind === value);
          if (solid !== undefined) {
            change(`room ${String(draft.room.length)}`, (before) => withThing(before, solid.kind));
          }
        }}
      />
      {draft.room.map(({ kind, texts }, i) => {
        const name = solidOf(kind)?.name ?? kind;
        return (
          <fieldset key={i} className="grid grid-cols-3 gap-x-2 gap-y-1">
            <legend className="flex w-full items-center justify-between text-base leading-tight font-semibold">
              {name}
              <button
                type="button"
                aria-label={`Take the ${name.toLowerCase()} away`}
                className="grid size-9 place-items-center"
                onClick={() => {
                  change(`room without ${String(i)}`, (before) => ({
                    ...before,
                    room: before.room.filter((_, each) => each !== i),
                  }));
                }}
              >
                <Trash2 size={18} />
              </button>
            </legend>
            {fieldsOfThing(kind).map((field) => (
              <QuantityField
                key={field.name}
                label={field.label}
                kind="length"
                text={texts[field.name] ?? ''}
                problem={problems[thingPath(i, field.name)] ?? null}
                place="list"
                onText={(text) => {
                  change(thingPath(i, field.name), (before) => ({
                    ...before,
                    room: before.room.map((each, at) =>
                      at === i ? { ...each, texts: { ...each.texts, [field.name]: text } } : each,
                    ),
                  }));
                }}
              />
            ))}
          </fieldset>
        );
      })}
      {draft.room.length > 0 && (
        <p className="text-sm leading-tight">
          All from where the axis of the run begins, facing the wall: to the right, up and out; the other way with a
          minus.
        </p>
      )}
    </section>
  );
}
