/** Said by the desk to the storefront in its frame, which then draws itself again from fresh data. */
export const REDRAW = 'dispona:redraw';
