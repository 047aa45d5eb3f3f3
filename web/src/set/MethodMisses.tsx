import type { Schemas } from '../api/client';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { CureButtons } from './CureButtons';

type Foresight = Schemas['ForesightView'];
type Grade = Foresight['worst'];

interface MethodMissesProps {
  foresight: Foresight | undefined;
  /** Then what is asked is the yardstick, and nobody is bound to these marks. */
  methodFree: boolean;
  method: 'chart' | 'exact';
  /** How many bends the piece has. */
  bends: number;
  onCure: (cure: Schemas['CureAnswer']) => void;
}

/** Before anything is given out: where even the right piece misses what is asked, and what to change about it. */
export function MethodMisses({ foresight, methodFree, method, bends, onCure }: MethodMissesProps) {
  if (foresight === undefined || foresight.worst === 'slight' || methodFree) {
    return null;
  }
  const beyond = foresight.worst === 'beyond';
  return (
    <section
      aria-label="What the method misses"
      role={beyond ? 'alert' : 'status'}
      data-worst={foresight.worst}
      className={`rounded-field border-2 bg-base-100 p-2 text-base leading-snug ${beyond ? 'border-error' : 'border-warning'}`}
    >
      <h2 className="font-semibold">
        <MissSign grade={foresight.worst} />
        {method === 'exact' ? 'Even exactly' : 'By the chart'} it does not come out as asked
      </h2>
      <ul>
        {foresight.misses.map(({ feature, unit, asked, right, grade }) => (
          <li key={feature} data-grade={grade}>
            <MissSign grade={grade} />
            {featureName(feature, bends)}: asked <Figure value={asked} unit={unit} />, right marks give{' '}
            <Figure value={right} unit={unit} className="font-semibold" />
          </li>
        ))}
        {foresight.gap != null && (
          <li data-grade={foresight.gap.grade}>
            <MissSign grade={foresight.gap.grade} />
            {foresight.gap.rightIn < 0 ? (
              <>
                It would run <Figure value={-foresight.gap.rightIn} unit="in" /> into what it has to clear
              </>
            ) : (
              <>
                Gap: asked <Figure value={foresight.gap.askedIn} unit="in" />, left{' '}
                <Figure value={foresight.gap.rightIn} unit="in" className="font-semibold" />
              </>
            )}
          </li>
        )}
      </ul>
      <p className="text-sm">
        Judged is what the right marks give, so nobody loses points for it; but it will not fit as asked.
      </p>
      <CureButtons cures={foresight.cures} onCure={onCure} />
    </section>
  );
}

const SIGNS = { slight: '', noticeable: '▲ ', beyond: '✕ ' } as const;
const WORDS = { slight: '', noticeable: 'noticeable: ', beyond: 'beyond its tolerance: ' } as const;
const COLOURS = { slight: '', noticeable: 'text-base-content', beyond: 'text-error' } as const;

/** How much a miss matters, by shape and colour. */
export function MissSign({ grade }: { grade: Grade | undefined }) {
  return grade === undefined || grade === 'slight' ? null : (
    <span className={COLOURS[grade]}>
      <span aria-hidden="true">{SIGNS[grade]}</span>
      <span className="sr-only">{WORDS[grade]}</span>
    </span>
  );
}
