// a round on the map
export { escapedXml, routeAsGeoJson, routeAsGpx, type RoutePoint } from './round-route';
