declare module 'itemsjs' {
  export default function itemsjs(items: never, configuration: never): { search: (query: never) => unknown };
}
