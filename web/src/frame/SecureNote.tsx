import { ShieldAlert } from 'lucide-react';
import { useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { api, body } from '../api/client';
import { Dialog } from './Dialog';

/**
 * What a browser does not do at an address that is not secure, said as long as this is one. Reading the bench, measuring and all the rest
 * work there as anywhere.
 */
export function NotSecure() {
  const status = useQuery({ queryKey: ['status'], queryFn: () => body(api.GET('/api/status')) });
  const better = status.data?.secureAddress;
  return (
    <>
      <p className="text-lg leading-snug">
        The address of this page is not a secure one. Everything can be done here, but your browser does not keep Lobrik
        for when there is no signal, does not let it use the camera to scan a sheet, and knows no passkeys; and whoever
        is on the same network could read along.
      </p>
      {better === null || better === undefined ? (
        <p className="mt-2 text-lg leading-snug">Ask whoever runs Lobrik for its address that begins with https.</p>
      ) : (
        <p className="mt-2 text-lg leading-snug">
          Open it at{' '}
          <a className="font-semibold break-all underline underline-offset-4" href={better}>
            {better}
          </a>
          .
        </p>
      )}
    </>
  );
}

/** The same behind a button in the rail. */
export function SecureNote() {
  const [open, setOpen] = useState(false);
  if (window.isSecureContext) {
    return null;
  }
  return (
    <>
      <button
        type="button"
        aria-label="This address is not secure"
        className="flex min-h-14 flex-col items-center justify-center gap-0.5 bg-warning px-1 text-center text-[0.82rem] leading-tight text-warning-content max-sm:w-14"
        onClick={() => {
          setOpen(true);
        }}
      >
        <ShieldAlert size={20} aria-hidden="true" />
        Not secure
      </button>
      {open && (
        <Dialog
          title="Not a secure address"
          onClose={() => {
            setOpen(false);
          }}
        >
          <NotSecure />
        </Dialog>
      )}
    </>
  );
}
