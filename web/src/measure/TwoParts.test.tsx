import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { TwoParts } from './TwoParts';

afterEach(cleanup);

it('writes both figures as one text, and nothing while one is missing', () => {
  const onText = vi.fn();
  render(
    <TwoParts legend="by the caliper" first="Least width" joint="of" second="Diameter" usual="1.05" onText={onText} />,
  );
  fireEvent.change(screen.getByLabelText('Least width'), { target: { value: '0.98' } });
  expect(onText).toHaveBeenLastCalledWith('0.98 of 1.05');
  fireEvent.change(screen.getByLabelText('Diameter'), { target: { value: ' 1.047 ' } });
  expect(onText).toHaveBeenLastCalledWith('0.98 of 1.047');
  fireEvent.change(screen.getByLabelText('Least width'), { target: { value: '' } });
  expect(onText).toHaveBeenLastCalledWith('');
});
