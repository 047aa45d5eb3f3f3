import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { SignedInContext } from '../frame/signedIn';

type Me = Schemas['Me'];

/** What an instructor may do. */
export const TEACHES: Me['rights'] = ['OWN_ACCOUNT', 'READ', 'EXPORT', 'MEASURE', 'TEACH', 'SIGN'];

/** Somebody who is signed in: an instructor, unless a test says otherwise. */
export function somebody(more: Partial<Me> = {}): Me {
  return {
    accountId: '00000000-0000-0000-0000-000000000001',
    fullName: 'Runa Tolvane',
    role: 'INSTRUCTOR',
    rights: TEACHES,
    unit: 'in',
    heldBack: false,
    ...more,
  };
}

/** Draws something for somebody who prefers this unit. */
export function drawnIn(unit: 'in' | 'mm', children: ReactNode) {
  return drawnFor(somebody({ unit }), children);
}

/** Draws something for somebody. */
export function drawnFor(me: Me, children: ReactNode) {
  return render(<SignedInContext value={me}>{children}</SignedInContext>);
}
