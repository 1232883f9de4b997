export { contextFrom, Satchel, type SatchelSite } from './satchel';
