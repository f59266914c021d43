import type { OrderStatus } from '../../../core/model/shop-order';
import { statusWords } from '../../../core/orders/order-state';
import { SwingTag } from '../../shared/ui/swing-tag';

const looks = {
  new: 'marigold',
  paid: 'petrol',
  partSent: 'sky',
  sent: 'sky',
  refunded: 'rose',
  cancelled: 'outline',
} as const;

export const OrderTag = ({ status, isPartRefunded }: { status: OrderStatus; isPartRefunded?: boolean }) => (
  <SwingTag look={looks[status]}>
    {statusWords[status]}
    {isPartRefunded && ', refunded in part'}
  </SwingTag>
);
