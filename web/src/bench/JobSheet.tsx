import { useMemo } from 'react';
import type { Schemas } from '../api/client';
import { Elevation } from '../drawing/Elevation';
import { isUpright } from '../drawing/pose';
import { isRun, RunWalls } from '../drawing/RunWalls';

const METHODS: Record<string, string> = {
  chart: 'by the chart',
  exact: 'exactly for this bender',
  free: 'by any method: only the finished sizes are judged',
};

/** The job as the sheet has it: the piece in its place, to scale, with the sizes that are given. */
export function JobSheet({ job }: { job: Schemas['SheetJob'] }) {
  const { plan, sizes } = job;
  const said = useMemo(() => new Map(sizes.map((size) => [size.input, size])), [sizes]);
  const places = useMemo(
    () =>
      Object.fromEntries(
        plan.dimensions.flatMap(({ input, at }) => {
          const size = said.get(input);
          return size === undefined ? [] : [[at, <Tag key={input} size={size} />]];
        }),
      ),
    [plan.dimensions, said],
  );
  const description = `What is to be bent: ${sizes.map(({ name, said: text }) => `${name} ${text}`).join(', ')}`;
  const drawn = new Set(plan.dimensions.map(({ input }) => input));
  const others = sizes.filter(({ input }) => !drawn.has(input));
  return (
    <section aria-label="The job" className="grid grid-cols-1 gap-1">
      <div
        className={`rounded-field border border-base-content/30 ${isUpright(plan.shape) ? 'h-[19rem]' : 'h-[16.5rem]'}`}
      >
        {isRun(plan) ? (
          <RunWalls
            plan={plan}
            dimensions={plan.dimensions.map(({ at, from, to }) => ({ id: at, from, to }))}
            outsideDiameter={job.outsideDiameterIn}
            description={description}
            at={places}
          />
        ) : (
          <Elevation
            plan={plan}
            dimensions={plan.dimensions}
            outsideDiameter={job.outsideDiameterIn}
            description={description}
            at={places}
          />
        )}
      </div>
      {others.length > 0 && (
        <p className="text-lg leading-tight">
          {others.map(({ input, name, said: text }) => (
            <span key={input} className="mr-3 inline-block">
              {name} <b className="figures text-xl">{text}</b>
            </span>
          ))}
        </p>
      )}
      <p className="leading-tight">Work it out {METHODS[job.method] ?? METHODS.chart}.</p>
    </section>
  );
}

function Tag({ size: { name, said } }: { size: Schemas['GivenSize'] }) {
  return (
    <div className="rounded-field bg-base-100 px-1 text-center leading-none whitespace-nowrap">
      <span className="block text-sm leading-none">{name}</span>
      <b className="figures text-xl leading-tight">{said}</b>
    </div>
  );
}
