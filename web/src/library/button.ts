/** How the library's plain buttons look. */
export const BUTTON =
  'min-h-11 whitespace-nowrap rounded-field border-2 border-base-content/60 bg-base-100 px-3 disabled:opacity-50';
