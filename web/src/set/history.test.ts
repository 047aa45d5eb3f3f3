import { describe, expect, it } from 'vitest';
import { amended, begin, changed, redone, undone } from './history';

describe('undo and redo', () => {
  const typed = ['1', '17', '17 5', '17 5/8'].reduce(
    (history, text, i) => changed(history, text, 'legIn', i * 200),
    begin('20'),
  );

  it('takes a figure that is being typed as one step', () => {
    expect(typed.present).toBe('17 5/8');
    expect(undone(typed).present).toBe('20');
  });

  it('keeps steps about different things, or after a pause, apart', () => {
    const other = changed(typed, 'chart', 'method', 650);
    expect(undone(other).present).toBe('17 5/8');
    const later = changed(typed, '18', 'legIn', 9000);
    expect(undone(later).present).toBe('17 5/8');
    expect(undone(undone(later)).present).toBe('20');
  });

  it('brings back what was undone, until something else is changed', () => {
    const back = undone(typed);
    expect(redone(back).present).toBe('17 5/8');
    expect(redone(back).future).toEqual([]);
    const elsewhere = changed(back, '21', 'legIn', 9000);
    expect(redone(elsewhere).present).toBe('21');
  });

  it('keeps what is no step out of the past', () => {
    const saved = amended(typed, 'saved');
    expect(saved.present).toBe('saved');
    expect(undone(saved).present).toBe('20');
  });

  it('does nothing at either end, and nothing for no change', () => {
    const start = begin('a');
    expect(undone(start)).toBe(start);
    expect(redone(start)).toBe(start);
    expect(changed(start, 'a', 'x', 1)).toBe(start);
  });
});
