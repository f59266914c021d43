import { NamedPage } from './named-page';

export { CategoryPage } from './category-page';
export { CollectionPage } from './collection-page';
export { GroupsPage } from './groups-page';
export { Shelves } from './shelves';

export const TagsPage = () => <NamedPage key="tag" kind="tag" />;
export const BrandsPage = () => <NamedPage key="brand" kind="brand" />;
