import type { ReactNode } from 'react';
import { type Right, useMay } from './rights';

/** What is offered to those who may do it; to the others nothing, or something else. */
export function IfMay({
  right,
  otherwise = null,
  children,
}: {
  right: Right;
  otherwise?: ReactNode;
  children: ReactNode;
}) {
  return useMay(right) ? children : otherwise;
}
