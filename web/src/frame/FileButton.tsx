import { type ReactNode, useRef } from 'react';

/** A button that asks for a file; the field that takes it is read out, and is not another stop for the keyboard. */
export function FileButton({
  label,
  accept,
  className,
  onFile,
  children,
}: {
  /** What the file is. */
  label: string;
  accept: string;
  className: string;
  onFile: (file: File) => void;
  children: ReactNode;
}) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={field}
        type="file"
        accept={accept}
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const [chosen] = event.target.files ?? [];
          if (chosen !== undefined) {
            onFile(chosen);
          }
          // The same file may be chosen again once it was mended.
          event.target.value = '';
        }}
      />
      <button
        type="button"
        className={className}
        onClick={() => {
          field.current?.click();
        }}
      >
        {children}
      </button>
    </>
  );
}
