import { useEffect, useState } from 'react';

/** Half a written figure is no mistake: what is wrong is told once the writer pauses. */
const PAUSE_MS = 500;

/** Whether a text has stayed as it is for a moment. */
export function useSettled(text: string): boolean {
  const [settled, setSettled] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => {
      setSettled(text);
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [text]);
  return settled === text;
}
