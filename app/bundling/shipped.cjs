const fs = require('node:fs');
const path = require('node:path');

const LIST = path.resolve(__dirname, '../../.build/shippedModules.json');

/** Has the bundler note which modules are shipped, for their licences. */
function noteShipped(config) {
  const shipped = new Set();
  config.serializer.processModuleFilter = (module) => {
    shipped.add(module.path);
    return true;
  };
  process.once('exit', () => {
    if (shipped.size === 0) return;
    fs.mkdirSync(path.dirname(LIST), { recursive: true });
    fs.writeFileSync(LIST, JSON.stringify([...shipped].sort()));
  });
}

module.exports = { noteShipped, LIST };
