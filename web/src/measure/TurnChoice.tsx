interface TurnChoiceProps {
  /** Of the turn: its name. */
  name: string;
  /** What is in its field. */
  text: string;
  onText: (text: string) => void;
}

/** Seen from the datum end, clockwise from one ninety's plane to the next (handbook 4.9). */
const TURNS = [
  { degrees: '0', words: 'U' },
  { degrees: '90', words: '↻ 90°' },
  { degrees: '180', words: 'Z' },
  { degrees: '270', words: '↺ 270°' },
] as const;

/** A turn is seen at a glance: which of the four it is; by how many degrees it is off may still be typed. */
export function TurnChoice({ name, text, onText }: TurnChoiceProps) {
  return (
    <div role="group" aria-label={`${name}: which way`} className="grid grid-cols-4 gap-1">
      {TURNS.map(({ degrees, words }) => (
        <button
          key={degrees}
          type="button"
          aria-pressed={text === degrees}
          onClick={() => {
            onText(degrees);
          }}
          className="btn h-11 border-2 border-base-content/60 px-1 text-lg aria-pressed:border-base-content aria-pressed:bg-base-content aria-pressed:text-base-100"
        >
          {words}
        </button>
      ))}
    </div>
  );
}
