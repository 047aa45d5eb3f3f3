import { X } from 'lucide-react';
import { type ReactNode, useEffect, useId, useRef } from 'react';

/** Something to be finished first; Escape or the cross closes it. */
export function Dialog({
  title,
  wide = false,
  onClose,
  children,
}: {
  title: string;
  /** For a drawing or a list of many columns. */
  wide?: boolean;
  onClose: () => void;
  children: ReactNode;
}) {
  const ref = useRef<HTMLDialogElement>(null);
  const heading = useId();
  useEffect(() => {
    const dialog = ref.current;
    if (dialog?.open === false) {
      dialog.showModal();
    }
  }, []);
  return (
    <dialog
      ref={ref}
      aria-labelledby={heading}
      onClose={onClose}
      className={`m-auto ${wide ? 'w-[56rem]' : 'w-[30rem]'} max-w-[calc(100vw-1.5rem)] rounded-box border-2 border-base-content/60 bg-base-100 p-4 text-base-content backdrop:bg-black/40`}
    >
      <div className="mb-2 flex items-start justify-between gap-2">
        <h2 id={heading} className="text-2xl leading-tight font-semibold">
          {title}
        </h2>
        <button type="button" aria-label="Close" className="btn size-11 btn-ghost p-0" onClick={onClose}>
          <X />
        </button>
      </div>
      {children}
    </dialog>
  );
}
