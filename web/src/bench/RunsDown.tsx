import { useEffect, useState } from 'react';
import { clock } from '../entry/minutes';

const SECOND = 1000;

/** A time that runs down once it is started: for warming, and for holding until it is cold. It says so when it is over. */
export function RunsDown({ name, seconds }: { name: string; seconds: number }) {
  const [until, setUntil] = useState<number>();
  const [now, setNow] = useState(0);
  const running = until !== undefined;
  useEffect(() => {
    if (!running) {
      return undefined;
    }
    const ticking = setInterval(() => {
      setNow(Date.now());
    }, SECOND / 4);
    return () => {
      clearInterval(ticking);
    };
  }, [running]);
  const left = until === undefined ? seconds : Math.max(0, Math.ceil((until - now) / SECOND));
  const over = running && left === 0;
  useEffect(() => {
    if (over) {
      // Phones that can, shake: both hands are on the conduit.
      (navigator as { vibrate?: (pattern: number[]) => void }).vibrate?.([300, 150, 300]);
    }
  }, [over]);
  const press = () => {
    if (running) {
      setUntil(undefined);
    } else {
      const at = Date.now();
      setNow(at);
      setUntil(at + seconds * SECOND);
    }
  };
  return (
    <div className="grid grid-cols-[1fr_auto] items-center gap-3 rounded-field border-2 border-base-content/60 px-3 py-1">
      <p>
        {name}{' '}
        <span role="timer" aria-label={`${name}, left`} className="figures text-3xl leading-none">
          {clock(left)}
        </span>
      </p>
      <button type="button" className="btn h-11 text-base" onClick={press}>
        {over ? 'Again' : running ? 'Stop' : 'Start'}
      </button>
      <p role="status" className={over ? 'col-span-full text-lg font-semibold' : 'sr-only'}>
        {over ? `${name}: time is over. Feel whether it is so.` : ''}
      </p>
    </div>
  );
}
