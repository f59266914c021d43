import { PageBody } from './home/page-body';
import { Sections } from './home/sections/sections';
import { ListingPage } from './listing/listing-page';
import { provideParts } from './parts';
import { ProductPage } from './product/product-page';

// The server draws every sort of page.
provideParts({ page: PageBody, listing: ListingPage, product: ProductPage, sections: Sections });
