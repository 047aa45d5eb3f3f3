import { ArchiveX } from 'lucide-react';
import { Link } from 'react-router';
import { useBackups } from '../shed/backupQueries';
import { useMay } from './rights';

/** Tells whoever leads the school that no backup is good and new enough, as long as that is so. */
export function BackupNote() {
  const warning = useBackups(useMay('LEAD')).data?.warning;
  if (warning === null || warning === undefined) {
    return null;
  }
  return (
    <Link
      to="/shed?side=backups"
      aria-label={`${warning}: look at the backups`}
      className="flex min-h-14 flex-col items-center justify-center gap-0.5 bg-warning px-1 text-center text-[0.82rem] leading-tight text-warning-content max-sm:w-14"
    >
      <ArchiveX size={20} aria-hidden="true" />
      Backup
    </Link>
  );
}
