import type { Feature } from '../api/queries';
import { quantityText } from '../entry/figures';
import { keepFocus } from '../entry/Pad';
import type { Query, Readings } from './useReadings';

/** What is wrong with what was typed, or what is asked about it: at the field, with the way out as a button. */
export function QueryNote({
  query,
  feature,
  readings,
}: {
  query: Query;
  feature: Feature;
  readings: Pick<Readings, 'unit' | 'takeMeant' | 'enter'>;
}) {
  if (query.kind === 'problem') {
    return (
      <p
        role="alert"
        className="mt-1 rounded-field border-2 border-error bg-base-100 px-1.5 py-1 text-base leading-snug text-error"
      >
        <span aria-hidden="true">✕ </span>
        {query.message}{' '}
        {query.suggestion !== '' && (
          <button
            type="button"
            className="min-h-8 font-semibold underline"
            onMouseDown={keepFocus}
            onClick={readings.takeMeant}
          >
            Take {query.suggestion}
          </button>
        )}
      </p>
    );
  }
  return (
    <div
      role="alert"
      className="mt-1 rounded-field text-left border-2 border-warning-content bg-warning p-1.5 text-base leading-snug text-warning-content"
    >
      <span aria-hidden="true">▲ </span>
      That is {quantityText(query.off, feature.unit, readings.unit, { signed: true })} off. Right?
      <span className="mt-1 flex flex-wrap gap-1">
        {query.meant !== '' && (
          <button
            type="button"
            className="btn h-11 min-h-0 border-2 border-warning-content bg-base-100 px-2 text-base text-base-content"
            onMouseDown={keepFocus}
            onClick={readings.takeMeant}
          >
            Meant {query.meant}
          </button>
        )}
        <button
          type="button"
          className="btn h-11 min-h-0 border-2 border-warning-content bg-base-100 px-2 text-base text-base-content"
          onMouseDown={keepFocus}
          onClick={() => {
            readings.enter();
          }}
        >
          Keep {query.text}
        </button>
      </span>
    </div>
  );
}
