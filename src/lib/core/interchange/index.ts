// a round on the map
export { routeAsGeoJson, routeAsGpx, type RoutePoint } from './round-route';
