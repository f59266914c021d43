import { Navigate } from 'react-router';
import { useSession } from '../data/session';
import { useSetUp } from '../data/set-up';
import { Loading } from '../shared/ui/states';

/** Where the desk begins: with the texts for who translates, with the set-up list while there is no product, else with the goods. */
export function Start() {
  const { data, error } = useSetUp();
  const { data: session } = useSession();
  if (session?.user?.languages) return <Navigate to="/words" replace />;
  if (!data && !error) return <Loading rows={4} />;
  const isEmpty = data?.steps.some(({ key, state }) => key === 'product' && state === 'open');
  return <Navigate to={isEmpty ? '/set-up' : '/goods'} replace />;
}
