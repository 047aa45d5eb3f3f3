import type { Schemas } from '../api/client';
import { Elevation } from '../drawing/Elevation';
import { isRun, RunWalls } from '../drawing/RunWalls';
import { Deviation } from '../entry/Deviation';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { datumWords } from '../measure/datum';
import { carriedShortly } from '../verdict/carried';

/** What became of the piece, in plain words, with what was bent over what was asked. */
export function Checked({ job, checked }: { job: Schemas['SheetJob']; checked: Schemas['CheckedAnswer'] }) {
  const { plan, made, features } = checked;
  const bends = plan.marks.length;
  const asked = { ...plan, shape: plan.wanted ?? plan.shape };
  return (
    <section aria-label="What became of it" className="grid gap-2 border-y-2 border-base-content/60 py-2">
      <p className="flex items-center gap-3" data-testid="checked">
        <span className="figures text-[2.6rem] leading-none">{Math.round(checked.points)}</span>
        <span className="text-lg leading-tight">
          of 100, {checked.passed ? '● passed' : '✕ not yet'}. Another try begins with your instructor.
        </span>
      </p>
      <p className="text-xl leading-snug">{checked.what}</p>
      {checked.bender != null && <p className="text-lg leading-snug">{checked.bender}</p>}
      {made != null && (
        <>
          <div className="h-[16rem] rounded-field border border-base-content/30">
            {isRun(plan) ? (
              <RunWalls
                plan={asked}
                made={made}
                exaggeration={checked.drawnTimes}
                outsideDiameter={job.outsideDiameterIn}
                dimensions={[]}
                description="What you bent, over what was asked for"
                at={{}}
              />
            ) : (
              <Elevation
                plan={asked}
                made={made}
                exaggeration={checked.drawnTimes}
                outsideDiameter={job.outsideDiameterIn}
                description="What you bent, over what was asked for"
                at={{}}
              />
            )}
          </div>
          <p className="text-sm leading-tight">
            Outline: as asked. Filled: as bent
            {checked.drawnTimes > 1 && `, the difference drawn ${String(checked.drawnTimes)} times as large`}.
          </p>
        </>
      )}
      <table className="w-full text-lg leading-tight">
        <thead className="text-left text-sm">
          <tr>
            <th className="font-normal">
              <span className="sr-only">Size</span>
            </th>
            <th className="text-right font-normal">right</th>
            <th className="text-right font-normal">yours</th>
            <th className="text-right font-normal">off by</th>
          </tr>
        </thead>
        <tbody>
          {features.map((feature) => (
            <tr key={feature.id} className="border-t border-base-300">
              <th scope="row" className="py-1 text-left font-normal">
                {featureName(feature.id, bends)}
                {feature.backOf != null && <span className="block text-sm">{datumWords('back', feature.backOf)}</span>}
                {feature.carried != null && (
                  <span className="block text-sm">
                    {carriedShortly({ ...feature, carried: feature.carried }, bends)}
                  </span>
                )}
              </th>
              <td className="text-right">
                <Figure value={feature.target} unit={feature.unit} />
              </td>
              <td className="text-right">
                {feature.value == null ? '–' : <Figure value={feature.value} unit={feature.unit} />}
              </td>
              <td className="text-right">
                <Deviation feature={{ ...feature, reading: { value: feature.value ?? null } }} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {checked.then != null && (
        <p className="text-lg leading-snug">
          <b>This piece:</b> {checked.then}
        </p>
      )}
      {checked.next != null && (
        <p className="text-lg leading-snug">
          <b>Next time:</b> {checked.next}
        </p>
      )}
    </section>
  );
}
