/** The body of a page that stands in the middle of the window, with room above it. */
export const contained = 'mx-auto max-w-7xl px-4 pt-8 lg:px-8 lg:pt-10';
