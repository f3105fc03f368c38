const webParts = require('babel-plugin-react-native-web/src/moduleMap.js');

/** An import of a compiled module, by the name that the compiler gave it: `import_x` here, `x_1` in compiled packages. */
const IMPORTED = /\b(import_\w+|\w+_1) = ((?:__toESM\()?require\("[^"]+"\)(?:, 1)?\)?)(?=[,;])/g;
const REQUIRED = /\brequire\("((?:[^"\\]|\\.)+)"\)/g;

/** What a module imports of React Native comes from that part of its web form alone, so that no other is shipped with it. */
function ofWebParts(code) {
  const whole = [...code.matchAll(IMPORTED)].find(([, , required]) => required.includes('"react-native"'));
  if (!whole) return code;
  const [declared, name] = whole;
  const part = new RegExp(`\\b${name}\\.(\\w+)`, 'g');
  const used = [...new Set([...code.matchAll(part)].map((match) => match[1]))];
  if (used.some((one) => !webParts[one])) return code;
  const parts = used.map((one) => `import_web_${one} = require("react-native-web/dist/exports/${one}")`);
  return code.replace(declared, parts.join(', ') || `${name} = null`).replace(part, 'import_web_$1.default');
}

const usesOf = (name) => new RegExp(`\\b${name}\\b(?! = )`, 'g');

/** Code without one of its declarations. */
const undeclared = (code, declared) => {
  if (code.includes(`, ${declared}`)) return code.replace(`, ${declared}`, '');
  const first = ['var', 'const', 'let'].find((word) => code.includes(`${word} ${declared}`));
  return first && code.includes(`${first} ${declared}, `)
    ? code.replace(`${first} ${declared}, `, `${first} `)
    : code.replace(`${first} ${declared};`, '');
};

/**
 * Each imported module is run when something of it is first used; one of which nothing is used is imported for what it
 * does, and runs at once. To require a module again is to look it up; what is made of one is made once.
 */
function runWhenUsed(code) {
  let lazy = code;
  for (const [declared, name, required] of code.matchAll(IMPORTED)) {
    if (!usesOf(name).test(code)) continue;
    const isPlain = required.startsWith('require');
    const once = `${name} = () => { const it = ${required}; ${name} = () => it; return it; }`;
    lazy = (isPlain ? undeclared(lazy, declared) : lazy.replace(declared, once)).replace(
      usesOf(name),
      isPlain ? `(${required})` : `(${name}())`,
    );
  }
  return lazy;
}

/** The modules that a compiled module requires, and its code with their places in that list in place of their names. */
function byPlace(code) {
  const names = [];
  const placed = code.replace(REQUIRED, (_, name) => {
    if (!names.includes(name)) names.push(name);
    return `require(dependencyMap[${names.indexOf(name)}])`;
  });
  return { names, code: placed };
}

module.exports = { ofWebParts, runWhenUsed, byPlace };
