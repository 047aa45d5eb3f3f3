import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { drawnIn } from '../testing/signedIn';
import { MethodMisses } from './MethodMisses';

afterEach(cleanup);

const exactly = { pointer: '/method', text: 'lay it out exactly', unit: null, value: null, option: 'exact' };

const kick: Schemas['ForesightView'] = {
  worst: 'beyond',
  misses: [
    { feature: 'rise', unit: 'in', asked: 9, right: 8.1875, miss: -0.8125, tolerance: 0.125, grade: 'beyond' },
    { feature: 'overall', unit: 'in', asked: 44, right: 44.0937, miss: 0.09, tolerance: 0.125, grade: 'noticeable' },
  ],
  gap: null,
  cures: [exactly],
};

function shown(foresight: Schemas['ForesightView'] | undefined, methodFree = false) {
  const onCure = vi.fn();
  drawnIn(
    'in',
    <MethodMisses foresight={foresight} methodFree={methodFree} method="chart" bends={1} onCure={onCure} />,
  );
  return onCure;
}

it('says of each dimension what was asked and what the right marks give, by shape and word', () => {
  shown(kick);
  expect(screen.getByRole('alert').textContent).toContain('Rise: asked 9, right marks give 8 3/16');
  expect(screen.getByRole('alert').textContent).toContain('✕ beyond its tolerance: Rise');
  expect(screen.getByRole('alert').textContent).toContain('▲ noticeable: Overall');
});

it('offers the cures that were tried', () => {
  const onCure = shown(kick);
  fireEvent.click(screen.getByRole('button', { name: 'lay it out exactly' }));
  expect(onCure).toHaveBeenCalledWith(exactly);
});

it('says how far a piece would run into what it has to clear', () => {
  shown({ worst: 'beyond', misses: [], gap: { askedIn: 0.5, rightIn: -0.25, grade: 'beyond' }, cures: [] });
  expect(screen.getByRole('alert').textContent).toContain('It would run 1/4 into what it has to clear');
});

it('says nothing where little is missed, where the method is free, and while nothing is known', () => {
  shown({ worst: 'slight', misses: [], gap: null, cures: [] });
  shown(kick, true);
  shown(undefined);
  expect(screen.queryByLabelText('What the method misses')).toBeNull();
});
