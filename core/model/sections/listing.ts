import { groupTargetSchema } from '../target';
import { followLink, sectionTitle, sectionType, withFields } from './section-type';

export const listing = sectionType(
  'listing',
  {
    /** empty: the name of the group */
    title: sectionTitle,
    /** null: everything in the shop, or the group on whose page it stands */
    of: groupTargetSchema.nullable(),
  },
  {
    name: 'Listing',
    about: 'All goods of a group with filters, sorts and pages.',
    start: { title: '', of: null },
    follow: (section, follow) => withFields(section, { of: followLink(section.of, follow, 'of') }),
    gone: { of: 'The group of this listing was deleted. Choose another.' },
  },
);
