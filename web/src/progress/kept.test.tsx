import { cleanup, render } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { useKeptScroll } from './kept';

function Box({ place, ready }: { place: string; ready: boolean }) {
  const ref = useKeptScroll(place, ready);
  return <div ref={ref} data-testid="box" />;
}

const scrollTo = vi.fn();

beforeEach(() => {
  sessionStorage.clear();
  // jsdom lays nothing out.
  Element.prototype.scrollTo = scrollTo as unknown as typeof Element.prototype.scrollTo;
});

afterEach(() => {
  cleanup();
  scrollTo.mockClear();
});

test('coming back finds the place again', () => {
  const first = render(<Box place="matrix" ready />);
  const box = first.getByTestId('box');
  box.scrollTop = 140;
  box.scrollLeft = 20;
  box.dispatchEvent(new Event('scroll'));
  first.unmount();
  render(<Box place="matrix" ready />);
  expect(scrollTo).toHaveBeenLastCalledWith({ left: 20, top: 140 });
});

test('another place begins at its top, and nothing is scrolled before there is something to scroll', () => {
  sessionStorage.setItem('matrix one', '0 90');
  const { rerender } = render(<Box place="matrix two" ready={false} />);
  expect(scrollTo).not.toHaveBeenCalled();
  rerender(<Box place="matrix two" ready />);
  expect(scrollTo).toHaveBeenLastCalledWith({ left: 0, top: 0 });
});
