import type { Schemas } from '../api/client';

type Cure = Schemas['CureAnswer'];

/** Each cure alone takes the fault away; the core tried it. */
export function CureButtons({ cures, onCure }: { cures: readonly Cure[]; onCure: (cure: Cure) => void }) {
  return (
    <span className="mt-1 flex flex-wrap gap-1.5">
      {cures
        .filter(({ value, option }) => value != null || option != null)
        .map((cure) => (
          <button
            key={`${cure.pointer} ${cure.option ?? ''}`}
            type="button"
            className="min-h-9 rounded-field border-2 border-current px-2 text-left leading-tight font-semibold first-letter:uppercase hover:underline"
            onClick={() => {
              onCure(cure);
            }}
          >
            {cure.text}
          </button>
        ))}
    </span>
  );
}
