/** Two tape readings as one text, and back. Pure; what the text comes to is the server's core to say. */

export interface TakeOff {
  far: string;
  near: string;
  play: string;
  insertion: string;
}

/** The text of a distance: `71 1/4 − 40 5/8 − 1/8 + 5/8`. What is empty is left out. */
export function takeOffText({ far, near, play, insertion }: TakeOff): string {
  const less = play.trim() !== '' && near.trim() === '' ? ['0', play] : [near, play];
  const parts = [far.trim()];
  for (const part of less) {
    if (part.trim() !== '') {
      parts.push('−', part.trim());
    }
  }
  if (insertion.trim() !== '') {
    parts.push('+', insertion.trim());
  }
  return parts.join(' ');
}

/** The readings that a text was made of; a plain length is the far reading. */
export function takeOffOf(text: string): TakeOff {
  const [less = '', insertion = ''] = text.split(/ \+ /);
  const [far = '', near = '', play = ''] = less.split(/ [-−–] /);
  return { far: far.trim(), near: near.trim(), play: play.trim(), insertion: insertion.trim() };
}

/** Whether a text is more than one length. */
export function isTakenOff(text: string): boolean {
  return / [-−–+] /.test(text);
}
