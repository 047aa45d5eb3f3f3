import { useQuery } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';
import { OwnPageOf } from '../bench/OwnPage';
import { You } from '../shed/You';

/** All that a trainee with an account sees: their own page, and below it their account. */
export default function TraineeHome() {
  const own = useQuery<Schemas['OwnView'], Problem>({
    queryKey: ['own', 'mine'],
    queryFn: () => body(api.GET('/api/me/page')),
  });
  return (
    <OwnPageOf own={own} record="/api/me/record.pdf">
      <details className="border-t-2 border-base-content/60 pt-2">
        <summary className="flex min-h-11 cursor-pointer items-center text-lg">Your account</summary>
        <You />
      </details>
    </OwnPageOf>
  );
}
