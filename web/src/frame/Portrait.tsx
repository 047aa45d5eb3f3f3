/** Somebody's photograph beside their name, where one is kept; nothing where none is. */
export function Portrait({
  id,
  portraitAt,
  className,
}: {
  id: string;
  portraitAt: string | null | undefined;
  className: string;
}) {
  if (portraitAt == null) {
    return null;
  }
  return (
    <img
      src={`/api/trainees/${id}/portrait?at=${encodeURIComponent(portraitAt)}`}
      // The name stands beside it.
      alt=""
      loading="lazy"
      className={`shrink-0 rounded-field border border-base-300 bg-base-300 object-cover ${className}`}
    />
  );
}
