import { Problem } from '../api/client';

/** Hands a file to whoever sits at the screen. */
export function download(blob: Blob, name: string): void {
  const address = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}

interface Fetched {
  data?: unknown;
  error?: unknown;
}

/** A file that the server makes; throws a {@link Problem} if it cannot. */
export async function fetchFile(request: Promise<Fetched>, name: string): Promise<void> {
  const { data, error } = await request;
  if (!(data instanceof Blob)) {
    const detail = (error as { detail?: string } | undefined)?.detail;
    throw new Problem(0, detail ?? 'The file could not be made; try again.');
  }
  download(data, name);
}
