import { Pause, Play } from 'lucide-react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { FROM_THE_SIDE, FROM_THERE, turnWords } from '../drawing/shoeView';
import { InShoe } from '../drawing/InShoe';
import { picturesOf, turnsOf, usePictures } from './pictures';

/** One bend on a phone: the piece in the shoe as it lies before the trainee, which way it is turned, and how it is bent. */
export function BendPicture({ bend, diameter }: { bend: Schemas['ShownBendAnswer']; diameter: number }) {
  const [side, setSide] = useState(false);
  const last = picturesOf(bend) - 1;
  const { picture, playing, play, pause, show } = usePictures(last, () => false);
  const at = Math.min(picture, last);
  const turning = turnsOf(bend);
  const turn = turnWords(bend.turnSeenDeg);
  return (
    <>
      {turn !== undefined && (
        <p className="text-xl leading-tight">
          <span aria-hidden="true">{bend.turnSeenDeg > 0 ? '↻ ' : '↺ '}</span>Turn it <b>{turn}</b>, seen from where you
          stand: at the {bend.fromDatumEnd ? 'datum' : 'far'} end
        </p>
      )}
      <div className="h-[16rem] rounded-field border border-base-content/30">
        <InShoe
          bend={bend}
          moment={Math.max(0, at - turning)}
          turnLeft={turning === 0 ? 0 : Math.max(0, 1 - at / turning)}
          outsideDiameter={diameter}
          gaze={side ? FROM_THE_SIDE : FROM_THERE}
          description={`The piece in the shoe${turn === undefined ? '' : `, turned ${turn} before`}, bent to ${String(Math.round(bend.moments.at(-1)?.bentDeg ?? 0))}°`}
        />
      </div>
      <div className="grid grid-cols-2 gap-2">
        <button
          type="button"
          className="btn h-12 border-2 border-base-content/60 text-lg"
          aria-pressed={playing}
          onClick={() => {
            if (playing) {
              pause();
            } else {
              if (picture >= last) {
                show(0);
              }
              play();
            }
          }}
        >
          {playing ? <Pause size={20} aria-hidden="true" /> : <Play size={20} aria-hidden="true" />}
          {playing ? 'Pause' : 'Play'}
        </button>
        <button
          type="button"
          className="btn h-12 border-2 border-base-content/60 text-base"
          aria-pressed={side}
          onClick={() => {
            setSide(!side);
          }}
        >
          From the side
        </button>
      </div>
    </>
  );
}
