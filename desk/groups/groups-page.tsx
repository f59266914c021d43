import { Outlet } from 'react-router';
import { Failed, Loading } from '../ui/states';
import { CategoryTree } from './category-tree';
import { useGroups } from './queries';

/** The category tree, and beside it what is open of the groups. */
export function GroupsPage() {
  const { data, error, refetch } = useGroups();
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading />;
  return (
    <div className="flex min-h-0 flex-1">
      <CategoryTree categories={data.categories} uncategorised={data.uncategorised} />
      <Outlet />
    </div>
  );
}
