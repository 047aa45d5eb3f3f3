import { ClockAlert } from 'lucide-react';
import { useState } from 'react';
import { offInWords, useClockAhead } from '../api/deviceClock';
import { Dialog } from './Dialog';

/** Says that this device's clock is wrong, as long as it is. */
export function ClockNote() {
  const ahead = useClockAhead();
  const [open, setOpen] = useState(false);
  if (ahead === 0) {
    return null;
  }
  const off = offInWords(ahead);
  return (
    <>
      <button
        type="button"
        aria-label={`This device's clock is ${off}`}
        className="flex min-h-14 flex-col items-center justify-center gap-0.5 bg-warning px-1 text-center text-[0.82rem] leading-tight text-warning-content max-sm:w-14"
        onClick={() => {
          setOpen(true);
        }}
      >
        <ClockAlert size={20} aria-hidden="true" />
        Clock
      </button>
      {open && (
        <Dialog
          title="The clock of this device"
          onClose={() => {
            setOpen(false);
          }}
        >
          <p className="text-lg leading-snug">
            It is <b>{off}</b>, by the server. Readings are kept with what it says; when they were taken is put right by
            the server&rsquo;s clock. Set the time of this device, best by letting it set itself.
          </p>
        </Dialog>
      )}
    </>
  );
}
