import { Navigate } from 'react-router';
import { useSession, useStatus } from '../data/session';
import { useSetUp } from '../data/set-up';
import { Loading } from '../shared/ui/states';

/** Where the desk begins: with the texts for who translates, with the set-up list while there is no product, with the goods while nothing is live, else with the day. */
export function Start() {
  const { data, error } = useSetUp();
  const { data: session } = useSession();
  const { data: status } = useStatus();
  if (session?.user?.languages) return <Navigate to="/words" replace />;
  if ((!data || !status) && !error) return <Loading rows={4} />;
  const isEmpty = data?.steps.some(({ key, state }) => key === 'product' && state === 'open');
  if (isEmpty) return <Navigate to="/set-up" replace />;
  // Before anything is live, nobody comes and nothing sells.
  return <Navigate to={status?.edition === 0 ? '/goods' : '/today'} replace />;
}
