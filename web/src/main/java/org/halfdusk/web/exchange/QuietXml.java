package org.halfdusk.web.exchange;

import java.io.StringReader;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.halfdusk.typed.TypedNumber;

/**
 * Reads XML element by element and nothing else: a document type, with which a file could ask for other files and addresses
 * or grow without end, is refused before it is looked into.
 */
final class QuietXml {
    private QuietXml() {}

    /** What a format does with the elements, in their order. */
    interface Elements {
        void begin(XMLStreamReader xml) throws XMLStreamException;

        void end(String name);
    }

    /**
     * @param format for messages: "GPX"
     * @throws IllegalArgumentException where the text is no XML, declares a document type, or the format refuses it
     */
    static void read(String format, String text, Elements elements) {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
        factory.setXMLResolver((publicId, systemId, base, namespace) -> {
            throw new XMLStreamException("nothing outside the file is read");
        });
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(new StringReader(text.stripLeading()));
            while (xml.hasNext()) {
                switch (xml.next()) {
                    case XMLStreamConstants.START_ELEMENT -> elements.begin(xml);
                    case XMLStreamConstants.END_ELEMENT -> elements.end(xml.getLocalName());
                    case XMLStreamConstants.DTD ->
                        throw new IllegalArgumentException(
                                "the file declares a document type (DOCTYPE); a " + format + " without one is allowed");
                    default -> {}
                }
            }
        } catch (XMLStreamException e) {
            throw new IllegalArgumentException(
                    "the file is no " + format + ": "
                            + TypedNumber.shown(String.valueOf(e.getMessage()).replaceAll("\\s+", " ")),
                    e);
        }
    }

    /** An attribute's text; empty where it is missing. */
    static String attribute(XMLStreamReader xml, String name) {
        String value = xml.getAttributeValue(null, name);
        return value == null ? "" : value;
    }
}
