/** Of a module of styles each class is its own name. */
module.exports = new Proxy({}, { get: (_, name) => (name === '__esModule' ? false : name) });
