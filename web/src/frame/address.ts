import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

/** What an address keeps; undefined or nothing takes a part away. */
export type AddressChanges = Readonly<Record<string, string | undefined>>;

/**
 * The choices that the address keeps, and how to change some of them. A change builds on the address as it is when it is
 * made, not as it was when the screen was last drawn: of two quick choices, the second must not undo the first.
 *
 * @returns what is chosen, and a function that changes it; as a step of its own to come back to, or in place of this one
 */
export function useAddress(): [URLSearchParams, (changes: AddressChanges, how?: { replace: boolean }) => void] {
  const [search, setSearch] = useSearchParams();
  const change = useCallback(
    (changes: AddressChanges, how = { replace: true }) => {
      const now = new URLSearchParams(window.location.search);
      for (const [name, value] of Object.entries(changes)) {
        if (value === undefined || value === '') {
          now.delete(name);
        } else {
          now.set(name, value);
        }
      }
      setSearch(now, how);
    },
    [setSearch],
  );
  return [search, change];
}
