// a round on the map
export { routeAsGeoJson, type RoutePoint } from './round-route';
// animals for biodiversity databases
export { archiveTables, type ArchiveTable, type SampledEvent } from './darwin-core';
