declare module 'clipper2-wasm/dist/umd/clipper2z.js' {
  const factory: import('clipper2-wasm/dist/clipper2z').Clipper2ZFactoryFunction;
  export default factory;
}
