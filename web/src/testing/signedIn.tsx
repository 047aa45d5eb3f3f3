import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { SignedInContext } from '../frame/signedIn';

/** Draws something for somebody who prefers this unit. */
export function drawnIn(unit: 'in' | 'mm', children: ReactNode) {
  const me = {
    accountId: '00000000-0000-0000-0000-000000000001',
    fullName: 'Runa Tolvane',
    role: 'INSTRUCTOR' as const,
    unit,
  };
  return render(<SignedInContext value={me}>{children}</SignedInContext>);
}
