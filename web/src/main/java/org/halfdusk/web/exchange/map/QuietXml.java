package org.halfdusk.web.exchange.map;

import java.io.StringReader;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.halfdusk.typed.TypedNumber;
import org.springframework.web.util.HtmlUtils;

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

    /** All text inside an element, also inside elements in it: people write formatted descriptions. Afterwards its end has been read. */
    static String text(XMLStreamReader xml) throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        int depth = 1;
        while (depth > 0 && xml.hasNext()) {
            switch (xml.next()) {
                case XMLStreamConstants.START_ELEMENT -> depth++;
                case XMLStreamConstants.END_ELEMENT -> depth--;
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA, XMLStreamConstants.SPACE ->
                    text.append(xml.getText());
                case XMLStreamConstants.ENTITY_REFERENCE ->
                    throw new IllegalArgumentException(
                            "the file uses the entity “" + TypedNumber.shown(xml.getLocalName())
                                    + "”, which only a document type could explain; those of XML itself are allowed");
                default -> {}
            }
        }
        return text.toString();
    }

    private static final Pattern BREAK = Pattern.compile("(?i)<br\\s*/?>|</p>|</div>|</li>|</tr>");
    private static final Pattern TAG = Pattern.compile("<[^<>]{0,2000}>");
    private static final Pattern BLANK_LINES = Pattern.compile("\\s*\\n\\s*");

    /** Text without the tags of HTML that stand in it as text; breaks and paragraphs begin lines. */
    static String plain(String text) {
        if (!TAG.matcher(text).find()) {
            return text.strip();
        }
        String lines = TAG.matcher(BREAK.matcher(text).replaceAll("\n")).replaceAll("");
        String unescaped = HtmlUtils.htmlUnescape(lines);
        return BLANK_LINES.matcher(unescaped).replaceAll("\n").strip();
    }

    /** An attribute's text; empty where it is missing. */
    static String attribute(XMLStreamReader xml, String name) {
        String value = xml.getAttributeValue(null, name);
        return value == null ? "" : value;
    }
}
