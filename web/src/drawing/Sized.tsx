import type { ReactNode } from 'react';
import { useSize } from './useSize';

interface SizedProps {
  /** What tests find it by. */
  name: string;
  /** Draws into this many pixels. */
  children: (width: number, height: number) => ReactNode;
}

/** Room for a drawing, as large as there is; drawn once it is known how large. */
export function Sized({ name, children }: SizedProps) {
  const { ref, width, height } = useSize<HTMLDivElement>();
  return (
    <div ref={ref} className="relative h-full min-h-0 w-full overflow-hidden" data-testid={name}>
      {width > 0 && height > 0 && children(width, height)}
    </div>
  );
}
