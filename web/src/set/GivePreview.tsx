import type { Schemas } from '../api/client';
import type { InputField } from '../bends/kinds';
import { Figure } from '../entry/Figure';
import { unitOfKind } from '../entry/figures';

interface GivePreviewProps {
  preview: Schemas['Preview'] | undefined;
  /** The inputs of the bend. */
  inputs: readonly InputField[];
  /** Inputs that differ between variants, by name. */
  varied: Readonly<Record<string, unknown>>;
}

/** Who gets what, and the sticks that it uses up. */
export function GivePreview({ preview, inputs, varied }: GivePreviewProps) {
  if (preview === undefined) {
    return <p className="flex-1 p-6 text-lg">Choose who gets it; then it shows here what each gets.</p>;
  }
  const { dealt, conduit } = preview;
  const differing = inputs.filter(({ name }) => varied[name] !== undefined);
  const marks = dealt[0]?.marksIn.length ?? 0;
  return (
    <div className="min-w-0 flex-1 overflow-auto p-4">
      <Sticks conduit={conduit} dealt={dealt} />
      <table className="w-full text-lg leading-tight">
        <caption className="pb-1 text-left text-xl font-semibold">What each gets</caption>
        <thead>
          <tr className="text-left text-sm">
            <th className="pr-3 text-right font-normal">Bench</th>
            <th className="font-normal">Trainee</th>
            {differing.map(({ name, label }) => (
              <th key={name} className="text-right font-normal">
                {label}
              </th>
            ))}
            {Array.from({ length: marks }, (_, i) => (
              <th key={i} className="text-right font-normal">
                Mark {i + 1}
              </th>
            ))}
            <th className="text-right font-normal">Conduit</th>
            <th className="text-right font-normal">Hardness</th>
          </tr>
        </thead>
        <tbody>
          {dealt.map((each) => (
            <tr key={each.traineeId} className="h-9 border-t border-base-300">
              <td className="figures pr-3 text-right">{each.bench}</td>
              <th scope="row" className="text-left font-normal">
                {each.fullName}
              </th>
              {differing.map(({ name, kind: of }) => (
                <td key={name} className="text-right">
                  <Figure value={sizeOf(each.bend, name)} unit={unitOfKind(of)} fine />
                </td>
              ))}
              {each.marksIn.map((mark, i) => (
                <td key={i} className="text-right">
                  <Figure value={mark} unit="in" />
                </td>
              ))}
              <td className="text-right">
                <Figure value={each.conduitIn} unit="in" />
              </td>
              <td className="figures text-right">{each.hardness.toFixed(1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** By its path: of a part, step by step. */
function sizeOf(bend: Schemas['BendInput'], path: string): number {
  const size = path
    .split('/')
    .reduce<unknown>((of, name) => (of as Record<string, unknown> | null | undefined)?.[name], bend);
  return typeof size === 'number' ? size : 0;
}

/** The sticks, each as a bar with its pieces to scale. */
function Sticks({ conduit, dealt }: { conduit: Schemas['SticksView']; dealt: readonly Schemas['DealtView'][] }) {
  const { sticks, stickIn, usedIn, offcutsIn, onRack, fewestOnRack } = conduit;
  const fresh = sticks.filter(({ leftOver }) => !leftOver).length;
  const longest = Math.max(stickIn, ...sticks.map(({ lengthIn }) => lengthIn));
  return (
    <section aria-label="Conduit" className="mb-4">
      <h2 className="text-xl font-semibold">
        Takes {fresh === 1 ? 'one stick' : `${String(fresh)} sticks`} of <Figure value={stickIn} unit="in" />
        {fresh < sticks.length && ` and ${String(sticks.length - fresh)} left over from before`}
      </h2>
      {onRack != null && (
        <p className="leading-snug">
          {onRack < fresh && '▲ '}The rack has {onRack < 0 ? 'none, and fewer than that were counted' : onRack}
          {onRack < fresh ? '; count them, or bring more.' : `, then ${String(onRack - fresh)}`}
          {onRack >= fresh && onRack - fresh < (fewestOnRack ?? 0) && `: ▲ fewer than ${String(fewestOnRack ?? 0)}`}
        </p>
      )}
      <p className="mb-1">
        <Figure value={usedIn} unit="in" /> in pieces, <Figure value={offcutsIn} unit="in" /> in offcuts, the rest in
        saw cuts.
      </p>
      <ol className="grid gap-x-6 gap-y-1 lg:grid-cols-2">
        {sticks.map((stick, i) => (
          <li key={i} className="flex items-center gap-2">
            <span className="figures w-6 text-right">{i + 1}</span>
            <span className="min-w-0 flex-1">
              <span
                className={`flex h-7 border-2 border-base-content/60 bg-base-100 ${stick.leftOver ? 'border-dashed' : ''}`}
                style={{ width: `${String((stick.lengthIn / longest) * 100)}%` }}
              >
                {stick.cuts.map(({ owner, lengthIn }) => (
                  <span
                    key={owner}
                    className="grid place-items-center overflow-hidden border-r-2 border-base-content/60 bg-base-300 text-sm"
                    style={{ width: `${String((lengthIn / stick.lengthIn) * 100)}%` }}
                    title={dealt[owner]?.fullName ?? ''}
                  >
                    <Figure value={lengthIn} unit="in" />
                  </span>
                ))}
              </span>
            </span>
            <span className="w-28 text-sm">
              <Figure value={stick.offcutIn} unit="in" /> left
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
