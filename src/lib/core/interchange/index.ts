// a round on the map
export { routeAsGeoJson, type RoutePoint } from './round-route';
