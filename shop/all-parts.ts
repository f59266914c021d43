import { BasketPage } from './basket/basket-page';
import { CheckoutPage } from './basket/checkout-page';
import { OrderPage } from './basket/order-page';
import { PageBody } from './home/page-body';
import { Sections } from './home/sections/sections';
import { ListingPage } from './listing/listing-page';
import { provideParts } from './parts';
import { ProductPage } from './product/product-page';

// The server draws every sort of page.
provideParts({
  basket: BasketPage,
  checkout: CheckoutPage,
  order: OrderPage,
  page: PageBody,
  listing: ListingPage,
  product: ProductPage,
  sections: Sections,
});
