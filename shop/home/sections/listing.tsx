import { ListingGoods } from '../../listing/listing-goods';
import { Heading } from './heading';
import type { SectionProps } from './section-props';

export const Listing = ({ section, isFirst, url, currency, go }: SectionProps<'listing'>) =>
  section.listing && (
    <>
      <Heading section={section} isFirst={isFirst} />
      <ListingGoods listing={section.listing} q={section.q} url={url} currency={currency} go={go} />
    </>
  );
