export { contextFrom, instrumentsOf, Satchel, type SatchelSite } from './satchel';
