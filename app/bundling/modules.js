// What compiled modules call to give what they export and to take what others do, once for all of them. The compiler would
// write it into each. A module that was compiled gives itself; of any other, what it exports is its default too.
(() => {
  function give(to, from, but) {
    for (const name of Object.getOwnPropertyNames(from))
      if (name !== but && !Object.hasOwn(to, name))
        Object.defineProperty(to, name, { get: () => from[name], enumerable: true });
    return to;
  }
  globalThis.__export = (to, all) => {
    for (const name in all) Object.defineProperty(to, name, { get: all[name], enumerable: true });
  };
  globalThis.__reExport = (to, from) => give(to, from, 'default');
  globalThis.__toCommonJS = (own) => Object.defineProperty(own, '__esModule', { value: true });
  globalThis.__toESM = (from) => {
    if (from?.__esModule) return from;
    const whole = Object.defineProperty({}, 'default', { value: from, enumerable: true });
    return from && /object|function/.test(typeof from) ? give(whole, from, 'default') : whole;
  };
})();
