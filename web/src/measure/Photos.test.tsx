import { fireEvent, screen } from '@testing-library/react';
import { expect, test, vi } from 'vitest';
import type { Attempt } from '../api/queries';
import { drawnInApp } from '../testing/inApp';
import { keeping } from '../testing/keeping';
import { soon } from '../testing/soon';
import * as photo from './photo';
import { Photos } from './Photos';

const keep = keeping();

function draw(photos: readonly unknown[] = []) {
  drawnInApp(
    <Photos attempt={{ id: 'a', trainee: { fullName: 'Ada Finch' }, bench: { photos } } as unknown as Attempt} />,
  );
}

function take() {
  const file = new File(['x'], 'piece.jpg', { type: 'image/jpeg' });
  fireEvent.change(screen.getByLabelText('Photo'), { target: { files: [file] } });
}

test('a photo is made small before it is kept', async () => {
  const small = new Blob(['s'], { type: 'image/jpeg' });
  vi.spyOn(photo, 'shrunk').mockResolvedValue(small);
  draw();
  take();
  await soon(() => {
    expect(keep).toHaveBeenCalledWith(expect.objectContaining({ kind: 'photo', file: small }));
  });
});

test('what is no photo is said to be none, until another is taken', async () => {
  vi.spyOn(photo, 'shrunk').mockRejectedValueOnce(new Error('no picture')).mockResolvedValue(new Blob());
  draw();
  take();
  await soon(() => {
    expect(screen.getByRole('alert').textContent).toContain('no photo that can be read');
  });
  expect(keep).not.toHaveBeenCalled();
  take();
  await soon(() => {
    expect(keep).toHaveBeenCalled();
  });
  expect(screen.queryByRole('alert')).toBeNull();
});

test('photos say who took them and what of', () => {
  draw([
    { id: 'p1', takenBy: 'Runa Tolvane', note: 'the kink' },
    { id: 'p2', takenBy: 'Dessa Marlow', note: '' },
  ]);
  expect(screen.getByAltText('Photo by Runa Tolvane: the kink').getAttribute('src')).toBe('/api/attempts/a/photos/p1');
  expect(screen.getByAltText('Photo by Dessa Marlow')).toBeTruthy();
});
