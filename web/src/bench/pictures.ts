import { useEffect, useState } from 'react';
import type { Schemas } from '../api/client';

/** The turn before a bend is shown in so many pictures. */
const TURNING = 8;
const PICTURE_MS = 170;
/** The end of a bend is looked at for so many pictures before the next. */
const REST = 6;

export function turnsOf(bend: Schemas['ShownBendAnswer']): number {
  return Math.abs(bend.turnSeenDeg) < 0.01 ? 0 : TURNING;
}

/** How many pictures a bend is shown in: while it is turned, and while it is bent. */
export function picturesOf(bend: Schemas['ShownBendAnswer']): number {
  return turnsOf(bend) + bend.moments.length;
}

/**
 * Pictures of a bend that play by themselves, or stand where somebody puts them.
 *
 * @param last number of the last picture, from 0
 * @param onEnd begins with what comes next, and says whether anything does
 */
export function usePictures(last: number, onEnd: () => boolean) {
  const [picture, setPicture] = useState(0);
  const [playing, setPlaying] = useState(false);
  useEffect(() => {
    if (!playing) {
      return undefined;
    }
    const timer = setTimeout(() => {
      if (picture < last + REST) {
        setPicture(picture + 1);
      } else if (onEnd()) {
        setPicture(0);
      } else {
        setPlaying(false);
      }
    }, PICTURE_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [playing, picture, last, onEnd]);
  return {
    picture,
    playing,
    play: () => {
      setPlaying(true);
    },
    pause: () => {
      setPlaying(false);
    },
    /** Stops at a picture. */
    show: (to: number) => {
      setPlaying(false);
      setPicture(to);
    },
  };
}
