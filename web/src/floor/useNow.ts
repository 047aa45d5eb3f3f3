import { useEffect, useState } from 'react';

const EVERY_MILLIS = 10_000;

/**
 * The time by the server's clock, for saying how long something lasts: a tablet's own clock may be wrong.
 *
 * @param said what the server's clock said with the last answer
 * @param heardAt what this device's clock said then
 */
export function useNow(said: string | undefined, heardAt: number): number {
  const [now, setNow] = useState(() => Date.now());
  const ahead = said === undefined ? 0 : Date.parse(said) - heardAt;
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(Date.now());
    }, EVERY_MILLIS);
    return () => {
      clearInterval(timer);
    };
  }, []);
  return now + ahead;
}
