/*
 * Serves the built application. Its files in `static` and its scripts answer past the hooks; nobody is to guess their
 * type either.
 */
import { server } from '../build/index.js';

server.server.prependListener('request', (_, response) => response.setHeader('x-content-type-options', 'nosniff'));
