import XMLBuilder from 'fast-xml-builder';

const builder = new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: '@', textNodeName: '#', format: true });

/** An XML document around what is in it; attributes with an @, text as #. */
export const xmlDocument = (inside: object): string =>
	`<?xml version="1.0" encoding="UTF-8"?>\n${builder.build(inside)}`;
