import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { useOffers, useOfferWrites } from '../../data/offers';
import { useSettings } from '../../data/shopfront';
import { Button } from '../../shared/ui/button';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { useTitle } from '../../shared/ui/use-title';
import { OfferSheet } from './offer-sheet';
import { TaxPage } from './tax-page';
import { Timeline } from './timeline';
import { WhyThisPrice, type Asked } from './why-this-price';
import { tellRefused } from '../../data/tell-refused';

/** Offers along time, one of them as a sentence with what it does, and how any price comes about. */
export function PricesPage() {
  useTitle('Prices');
  const { id } = useParams();
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const { data, error, refetch } = useOffers();
  const { data: settings } = useSettings();
  const { add, change } = useOfferWrites();
  const [asked, setAsked] = useState<Asked | null>(null);
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  const offers = data?.offers ?? [];
  const row =
    offers.find(({ offer }) => offer.id === id) ?? offers.find(({ status }) => status === 'running') ?? offers[0];
  const count = (status: string) => offers.filter((each) => each.status === status).length;
  const open = (offerId: string) => void navigate(`/prices/${offerId}`);
  /** what stands of its days, so that what another tab changed is not lost */
  const daysOf = (offerId: string) => {
    const { from = null, until = null } = offers.find(({ offer }) => offer.id === offerId)?.offer ?? {};
    return { from, until };
  };
  const isTax = params.get('part') === 'tax';
  const make = () =>
    void add
      .mutateAsync({ name: 'New offer' })
      .then((made) => open(made.id))
      .catch(tellRefused);
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex flex-wrap items-center gap-2 px-4 py-2">
        <h1 className="mr-1 font-display text-2xl font-bold">Prices</h1>
        {data && (
          <span className="text-ink-2">
            {count('running')} {count('running') === 1 ? 'offer runs' : 'offers run'} today · {data.onSale} goods
            reduced
          </span>
        )}
        <span className="ml-auto flex gap-2">
          {isTax ? (
            <Button onClick={() => void navigate('/prices')}>Offers</Button>
          ) : (
            <Button onClick={() => void navigate('/prices?part=tax')}>Tax and floor</Button>
          )}
          <Button look="main" onClick={make} disabled={add.isPending}>
            New offer
          </Button>
        </span>
      </div>
      {!data || !settings ? (
        <Loading rows={6} />
      ) : isTax ? (
        <TaxPage settings={settings} />
      ) : (
        <div className="@container min-h-0 flex-1 overflow-y-auto px-4 pb-6">
          {offers.length > 0 && (
            <Timeline
              answer={data}
              current={row?.offer.id}
              open={open}
              move={(offerId, span) =>
                change.mutate({ id: offerId, fields: span, was: daysOf(offerId) }, { onError: tellRefused })
              }
            />
          )}
          <div className="mt-3 grid items-start gap-3 @5xl:grid-cols-[minmax(0,1fr)_20rem]">
            {row ? (
              <OfferSheet
                key={row.offer.id}
                row={row}
                currency={data.currency}
                timeZone={data.timeZone}
                shopFloor={settings.offers.floor}
                why={setAsked}
                copied={open}
                gone={() => void navigate('/prices')}
              />
            ) : (
              <div className="sheet">
                <Empty
                  title="No offers yet"
                  action={
                    <Button look="main" onClick={make} disabled={add.isPending}>
                      New offer
                    </Button>
                  }
                >
                  An offer takes something off some goods, for some days, under conditions that you choose. You see what
                  it does to every price and margin before it runs.
                </Empty>
              </div>
            )}
            <WhyThisPrice
              asked={asked}
              ask={setAsked}
              currency={data.currency}
              timeZone={data.timeZone}
              country={settings.selling.country}
            />
          </div>
        </div>
      )}
    </div>
  );
}
