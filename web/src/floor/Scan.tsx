import jsQR from 'jsqr';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { Dialog } from '../frame/Dialog';

const LOOK_EVERY_MILLIS = 120;

/** The code in the address that a sheet's square holds. */
export function codeIn(address: string): string | undefined {
  return /\/sheet\/([0-9A-Za-z-]{8,14})\/?$/.exec(address)?.[1];
}

/** Reads the square on a sheet with the camera; where there is none, the short code below it is typed. */
export default function Scan({ onClose }: { onClose: () => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const navigate = useNavigate();
  const [code, setCode] = useState('');
  const [camera, setCamera] = useState<'asking' | 'on' | 'none'>('asking');
  useEffect(() => {
    let stream: MediaStream | undefined;
    let timer: ReturnType<typeof setInterval> | undefined;
    let over = false;
    const stop = () => {
      over = true;
      clearInterval(timer);
      stream?.getTracks().forEach((track) => {
        track.stop();
      });
    };
    const look = () => {
      const found = video.current === null ? undefined : codeOn(video.current);
      if (found !== undefined) {
        stop();
        onClose();
        void navigate(`/measure?sheet=${encodeURIComponent(found)}`);
      }
    };
    const start = async () => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
        if (over || video.current === null) {
          stop();
          return;
        }
        video.current.srcObject = stream;
        await video.current.play();
        setCamera('on');
        timer = setInterval(look, LOOK_EVERY_MILLIS);
      } catch {
        setCamera('none');
      }
    };
    void start();
    return stop;
  }, [navigate, onClose]);
  return (
    <Dialog title="Scan a sheet" onClose={onClose}>
      <video
        ref={video}
        muted
        playsInline
        aria-label="What the camera sees"
        className={`w-full rounded-field bg-black ${camera === 'on' ? '' : 'hidden'}`}
      />
      <p className="leading-snug" role="status">
        {camera === 'on' && 'Hold the square on the sheet before the camera.'}
        {camera === 'asking' && 'Looking for a camera…'}
        {camera === 'none' &&
          (window.isSecureContext
            ? 'There is no camera here that may be used. Type the code below the square.'
            : 'At this address the browser lets nothing use the camera: it is not a secure one. Type the code below the square.')}
      </p>
      <form
        className="mt-2 flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (code.trim() !== '') {
            onClose();
            void navigate(`/measure?sheet=${encodeURIComponent(code.trim())}`);
          }
        }}
      >
        <input
          aria-label="Code on the sheet"
          placeholder="7K2M-9QXD"
          value={code}
          autoCapitalize="characters"
          autoComplete="off"
          onChange={(event) => {
            setCode(event.target.value);
          }}
          className="figures h-12 min-w-0 flex-1 rounded-field border-2 border-base-content/60 bg-base-100 px-3 text-2xl"
        />
        <button className="btn h-12 btn-neutral text-lg" disabled={code.trim() === ''}>
          Open
        </button>
      </form>
    </Dialog>
  );
}

function codeOn(video: HTMLVideoElement): string | undefined {
  const { videoWidth: width, videoHeight: height } = video;
  if (width === 0) {
    return undefined;
  }
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  context?.drawImage(video, 0, 0);
  const picture = context?.getImageData(0, 0, width, height);
  const read = picture === undefined ? null : jsQR(picture.data, width, height);
  return read === null ? undefined : codeIn(read.data);
}
