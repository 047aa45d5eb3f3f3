import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';
import { useBenderComparison, useBenderInPoints } from '../api/progress';
import { Figure } from '../entry/Figure';
import { useSignedIn } from '../frame/signedIn';

type Comparison = Schemas['ComparisonView'];
type Effect = Schemas['EffectView'];

const DEVIATIONS: Record<string, { name: string; about: string }> = {
  angles: { name: 'Angles', about: 'more is over-bent: springback, or a worn shoe' },
  legs: { name: 'Legs of nineties', about: 'more is long: the take-up' },
  rises: { name: 'Rises and heights', about: 'more is high: the radius, besides the angles' },
  places: { name: 'Where rings land', about: 'more is too far out: where the arrow stands' },
};

const FINDINGS: Record<Effect['finding'], { sign: string; words: string }> = {
  likeTheOthers: { sign: '●', words: 'like the others' },
  off: { sign: '▲', words: 'calibrate it' },
  oneOfTwo: { sign: '▲', words: 'it or the other one: check both' },
  notComparable: { sign: '○', words: 'cannot be compared: too few pieces or people, or nobody used another' },
};

/** The benders compared by what comes out of them, whoever bends and whatever is bent. */
export function Benders() {
  const comparison = useBenderComparison();
  if (comparison.data === undefined) {
    return (
      <p className="p-4 text-lg" role={comparison.error === null ? 'status' : 'alert'}>
        {comparison.error?.message ?? 'Working it out…'}
      </p>
    );
  }
  return (
    <div className="h-full overflow-y-auto p-4" tabIndex={0} role="region" aria-label="Benders compared">
      <p className="max-w-[62rem] leading-snug">
        By everybody’s pieces of the last twelve weeks, in all cohorts. Each piece is taken as who bent it, on what, and
        what was bent; so a heavy hand is not blamed on a bender, nor a worn bender on fifteen people. Where all are
        alike, one is set apart once in a hundred times.
      </p>
      <BenderInPoints />
      {comparison.data.length === 0 && (
        <p className="py-4 text-xl">Nothing was measured in the last twelve weeks. The first pieces will show here.</p>
      )}
      <div className="mt-3 grid gap-x-8 gap-y-5 xl:grid-cols-2">
        {comparison.data.map((each) => (
          <OneKind key={each.deviations} comparison={each} />
        ))}
      </div>
    </div>
  );
}

/** Whether what a bender adds costs points: everybody may know, the centre lead decides. */
function BenderInPoints() {
  const { role } = useSignedIn();
  const client = useQueryClient();
  const { data: now } = useBenderInPoints();
  const choose = useMutation<Schemas['PointsChoice'], Problem, boolean>({
    mutationFn: (leftOut) => body(api.PUT('/api/benders/points', { body: { leftOut } })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['progress', 'benders', 'points'] }),
  });
  if (now === undefined) {
    return null;
  }
  return (
    <div className="mt-2 max-w-[62rem] border-l-4 border-primary pl-3">
      {role === 'LEAD' ? (
        <label className="flex min-h-11 items-center gap-2 text-lg">
          <input
            type="checkbox"
            className="checkbox"
            checked={now.leftOut}
            disabled={choose.isPending}
            onChange={() => {
              choose.mutate(!now.leftOut);
            }}
          />
          Points leave out what a bender marked “calibrate it” adds
        </label>
      ) : (
        <p className="text-lg">
          {now.leftOut
            ? 'Points leave out what a bender marked “calibrate it” adds.'
            : 'Points count what was read, whatever the bender adds; the centre lead can change that.'}
        </p>
      )}
      <p className="text-sm leading-snug">
        It holds for pieces that are begun from then on: each keeps the points it was judged to. The verdict always says
        what the bender adds, and habits never count it.
      </p>
      {choose.error !== null && (
        <p role="alert" className="text-error">
          ✕ {choose.error.message}
        </p>
      )}
    </div>
  );
}

function OneKind({ comparison }: { comparison: Comparison }) {
  const { name, about } = DEVIATIONS[comparison.deviations] ?? { name: comparison.deviations, about: '' };
  const reach = Math.max(
    comparison.worthTelling * 2,
    ...comparison.benders.flatMap(({ from, to }) => [Math.abs(from ?? 0), Math.abs(to ?? 0)]),
  );
  return (
    <section aria-label={name}>
      <h2 className="text-2xl leading-tight font-semibold">{name}</h2>
      <p className="text-sm">{about}</p>
      <table className="w-full text-lg leading-tight">
        <thead className="text-left text-sm">
          <tr>
            <th className="font-normal">Bender</th>
            <th className="font-normal">adds</th>
            <th className="font-normal">
              <span className="sr-only">drawn</span>
            </th>
            <th className="text-right font-normal">pieces</th>
          </tr>
        </thead>
        <tbody>
          {comparison.benders.map((effect) => (
            <tr key={effect.bender} className="border-t border-base-300 align-top">
              <th scope="row" className="py-1.5 pr-3 text-left">
                {effect.bender}
                <span className={`block text-sm font-normal ${effect.finding === 'off' ? 'text-error' : ''}`}>
                  {FINDINGS[effect.finding].sign} {FINDINGS[effect.finding].words}
                </span>
              </th>
              <td className="py-1.5 pr-3 whitespace-nowrap">
                {effect.off == null ? (
                  '–'
                ) : (
                  <Figure value={effect.off} unit={comparison.unit} signed className="text-[1.65rem]" />
                )}
                {effect.from != null && effect.to != null && (
                  <span className="block text-sm">
                    <Figure value={effect.from} unit={comparison.unit} signed /> to{' '}
                    <Figure value={effect.to} unit={comparison.unit} signed />
                  </span>
                )}
              </td>
              <td className="w-[11rem] py-1.5">
                <Whisker effect={effect} reach={reach} worth={comparison.worthTelling} />
              </td>
              <td className="figures py-1.5 text-right">
                {effect.pieces}
                <span className="block text-sm font-normal">{effect.people} people</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** What a bender adds with its interval, about nothing; the band is what is not worth telling. */
function Whisker({ effect, reach, worth }: { effect: Effect; reach: number; worth: number }) {
  const wide = 170;
  const x = (value: number) => wide / 2 + (value / reach) * (wide / 2 - 8);
  return (
    <svg width={wide} height={36} aria-hidden="true">
      <rect x={x(-worth)} y={4} width={x(worth) - x(-worth)} height={28} fill="var(--asked)" opacity={0.17} />
      <line x1={x(0)} x2={x(0)} y1={2} y2={34} stroke="var(--line)" className="line-thin" />
      {effect.off != null && effect.from != null && effect.to != null && (
        <g stroke="var(--made)">
          <line x1={x(effect.from)} x2={x(effect.to)} y1={18} y2={18} className="line-medium" />
          <line x1={x(effect.from)} x2={x(effect.from)} y1={12} y2={24} className="line-medium" />
          <line x1={x(effect.to)} x2={x(effect.to)} y1={12} y2={24} className="line-medium" />
          {effect.finding === 'likeTheOthers' ? (
            <circle cx={x(effect.off)} cy={18} r={5} fill="var(--made)" stroke="none" />
          ) : (
            <path
              d={`M${String(x(effect.off))} 9l8 15h-16z`}
              fill="var(--color-error)"
              stroke="var(--halo)"
              className="line-thin"
            />
          )}
        </g>
      )}
    </svg>
  );
}
