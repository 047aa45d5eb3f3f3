import { api, body } from '../api/client';

/** Fetches the slip of an invitation and hands it to the browser. */
export async function openSlip(code: string): Promise<void> {
  const slip = await body(
    api.POST('/api/invitation-slips', { body: { code, paper: null }, parseAs: 'blob' }) as unknown as Promise<{
      data?: Blob;
      response: Response;
    }>,
  );
  const link = document.createElement('a');
  link.href = URL.createObjectURL(slip);
  link.download = 'Invitation.pdf';
  link.click();
  URL.revokeObjectURL(link.href);
}
