import { skipToken, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { Figure } from '../entry/Figure';

/** Everything that a set of tolerances ever was, for whoever asks. */
export function PresetVersions({ id, about }: { id: string; about: string }) {
  const [open, setOpen] = useState(false);
  const versions = useQuery<Schemas['PresetVersion'][], Problem>({
    queryKey: ['preset-versions', id],
    queryFn: open ? () => body(api.GET('/api/judging-presets/{id}/versions', { params: { path: { id } } })) : skipToken,
  });
  return (
    <>
      <button
        type="button"
        aria-label={`Versions: ${about}`}
        aria-expanded={open}
        className="btn h-11 min-h-0 border-2 border-base-content/60 text-base"
        onClick={() => {
          setOpen(!open);
        }}
      >
        Versions
      </button>
      {open && (
        <ol className="basis-full leading-snug" aria-label={`Versions of ${about}`}>
          {versions.error !== null && <li className="text-error">✕ {versions.error.message}</li>}
          {versions.data?.map(({ version, figures, putAway, keptBy, keptAt }) => (
            <li key={version} className="border-t border-base-300 py-0.5">
              <span className="figures">{version}</span>: {keptBy},{' '}
              {new Date(keptAt).toLocaleDateString([], { day: 'numeric', month: 'short', year: 'numeric' })}:{' '}
              {putAway ? (
                'put away'
              ) : (
                <>
                  ±<Figure value={figures.lengthIn} unit="in" fine />, ±<Figure value={figures.angleDeg} unit="deg" />,
                  dog leg <Figure value={figures.dogLegDeg} unit="deg" />,{' '}
                  <span className="figures">{figures.passMark}</span> to pass
                </>
              )}
            </li>
          ))}
        </ol>
      )}
    </>
  );
}
