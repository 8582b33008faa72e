package org.umberloom.kit.picture;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import javax.xml.stream.XMLStreamWriter;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.limit.Expansion;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.page.KnownMarkup;

/**
 * A vector picture read as the XML it is and written anew in UTF-8 from an allow-list of elements and attributes, so that
 * nothing in it can run, load or refer to anything outside, in whatever encoding and under whatever prefixes it came.
 * Sources: SVG 2 (elements and attributes); XML 1.0 without a document type's own declarations.
 *
 * @param content the safe picture
 * @param paints  the colors it names as 0xAARRGGBB, each once for each use
 */
record VectorPicture(byte[] content, int[] paints) {
    private static final String SVG = "http://www.w3.org/2000/svg";
    private static final String XLINK = "http://www.w3.org/1999/xlink";
    private static final int MOST_ELEMENTS = 50_000;
    private static final int DEEPEST = 200;
    private static final int MOST_PAINTS = 200_000;

    private static final Set<String> PAINTS = words("fill stroke stop-color flood-color lighting-color color");
    /** What marks a picture as made to do harm, rather than as one with something that is not needed here. */
    private static final Set<String> HOSTILE = words("script foreignObject handler listener iframe object embed");
    /** Functions of CSS that can load something. Source: CSS Images 4, CSS Values 5. */
    private static final List<String> LOADING = List.of(
            "@", "\\", "image-set(", "src(", "image(", "cross-fade(", "element(", "expression(", "-moz-binding");

    private static final Pattern CLASS = Pattern.compile("\\.([\\w-]+)");

    /** Why a picture was not taken, in words that follow "The vector picture ". */
    static final class Refused extends Exception {
        private static final long serialVersionUID = 1;

        Refused(String why) {
            super(why);
        }
    }

    private static Set<String> words(String text) {
        return new HashSet<>(Arrays.asList(text.trim().split("\\s+")));
    }

    static VectorPicture read(byte[] content) throws Refused {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_COALESCING, true);
        factory.setXMLResolver((publicId, systemId, base, namespace) -> new ByteArrayInputStream(new byte[0]));
        try {
            return new Reader(factory.createXMLStreamReader(new ByteArrayInputStream(content))).read();
        } catch (XMLStreamException e) {
            throw new Refused("is not well-formed"
                    + (e.getLocation() == null
                            ? ""
                            : " (line " + e.getLocation().getLineNumber() + ")"));
        }
    }

    private static final class Reader {
        private final XMLStreamReader in;
        private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        private final XMLStreamWriter out;
        private final List<Integer> paints = new ArrayList<>();
        private final Expansion expansion = new Expansion();

        private int elements;

        Reader(XMLStreamReader in) throws XMLStreamException {
            this.in = in;
            out = XMLOutputFactory.newFactory().createXMLStreamWriter(bytes, "UTF-8");
        }

        VectorPicture read() throws XMLStreamException, Refused {
            int depth = 0;
            boolean style = false;
            StringBuilder css = new StringBuilder();
            while (in.hasNext()) {
                Patience.ask();
                int event = in.next();
                if (event == XMLStreamConstants.DTD
                        && String.valueOf(in.getText()).contains("["))
                    throw new Refused("declares entities of its own, so it was refused");
                if (event == XMLStreamConstants.ENTITY_REFERENCE)
                    throw new Refused("refers to the entity “" + in.getLocalName() + "”, so it was refused");
                if (event == XMLStreamConstants.START_ELEMENT) {
                    if (++elements > MOST_ELEMENTS || depth >= DEEPEST)
                        throw new Refused("has more than " + MOST_ELEMENTS + " elements, or more than " + DEEPEST
                                + " inside each other");
                    if (depth == 0 && !in.getLocalName().equals("svg"))
                        throw new Refused("is no SVG: its root is “" + in.getLocalName() + "”");
                    if (!kept()) {
                        skip();
                        continue;
                    }
                    depth++;
                    style = in.getLocalName().equals("style");
                    start(depth == 1);
                } else if (event == XMLStreamConstants.END_ELEMENT) {
                    if (style) styles(css.toString());
                    style = false;
                    css.setLength(0);
                    depth--;
                    expansion.close();
                    out.writeEndElement();
                } else if (event == XMLStreamConstants.CHARACTERS
                        || event == XMLStreamConstants.CDATA
                        || event == XMLStreamConstants.SPACE) {
                    if (style) css.append(in.getText());
                    else if (depth > 0) out.writeCharacters(in.getText());
                }
            }
            if (elements == 0) throw new Refused("is empty");
            if (expansion.drawn() > Expansion.MOST)
                throw new Refused("comes to more than " + Expansion.MOST
                        + " elements when what it refers to is drawn in its place, so it was refused");
            out.writeEndDocument();
            out.close();
            return new VectorPicture(
                    bytes.toByteArray(),
                    paints.stream().mapToInt(Integer::intValue).toArray());
        }

        /** An element of SVG, or of no namespace at all, that is known to only draw. Hostile ones refuse the whole picture. */
        private boolean kept() throws Refused {
            String name = in.getLocalName();
            boolean svg = in.getNamespaceURI() == null
                    || in.getNamespaceURI().isEmpty()
                    || in.getNamespaceURI().equals(SVG);
            for (String hostile : HOSTILE)
                if (name.equalsIgnoreCase(hostile))
                    throw new Refused("holds a script or foreign content (“" + name + "”), so it was refused");
            for (int i = 0; i < in.getAttributeCount(); i++)
                if (in.getAttributeLocalName(i).toLowerCase(Locale.ROOT).startsWith("on"))
                    throw new Refused("holds a script (“" + in.getAttributeLocalName(i) + "”), so it was refused");
            if (name.equals("a")) {
                for (int i = 0; i < in.getAttributeCount(); i++)
                    if (in.getAttributeLocalName(i).equals("href"))
                        throw new Refused("holds a link, so it was refused");
            }
            return svg && KnownMarkup.DRAWN_ELEMENTS.contains(name);
        }

        private void skip() throws XMLStreamException, Refused {
            for (int depth = 1; depth > 0; ) {
                int event = in.next();
                if (event == XMLStreamConstants.START_ELEMENT) {
                    kept();
                    if (++elements > MOST_ELEMENTS) throw new Refused("has more than " + MOST_ELEMENTS + " elements");
                    depth++;
                } else if (event == XMLStreamConstants.END_ELEMENT) depth--;
            }
        }

        private void start(boolean root) throws XMLStreamException, Refused {
            out.writeStartElement(in.getLocalName());
            if (root) out.writeDefaultNamespace(SVG);
            boolean linked = false;
            String id = "";
            List<String> references = new ArrayList<>();
            List<String> classes = List.of();
            for (int i = 0; i < in.getAttributeCount(); i++) {
                String space = in.getAttributeNamespace(i);
                String name = in.getAttributeLocalName(i);
                String value = in.getAttributeValue(i);
                boolean own = space == null || space.isEmpty();
                references.addAll(Expansion.references(value.strip()));
                if (own && name.equals("id")) id = value;
                if (own && name.equals("class")) classes = List.of(value.strip().split("\\s+"));
                if (name.equals("href") && (own || space.equals(XLINK))) {
                    checkLink(in.getLocalName(), value);
                    if (!linked) out.writeAttribute("href", value.trim());
                    linked = true;
                } else if (own && KnownMarkup.DRAWN_ATTRIBUTES.contains(name)) {
                    if (name.equals("style")) {
                        checkCss(value);
                        declarations(value);
                    } else checkUrls(value);
                    if (PAINTS.contains(name)) paint(value);
                    out.writeAttribute(name, value);
                }
            }
            expansion.open(id, classes, references);
        }

        /** Only to something in the picture itself, or to pixels that stand in it. */
        private static void checkLink(String element, String value) throws Refused {
            String link = value.strip();
            String start = link.substring(0, Math.min(link.length(), 40)).toLowerCase(Locale.ROOT);
            boolean pixels = element.equals("image")
                    && (start.startsWith("data:image/png;base64,")
                            || start.startsWith("data:image/jpeg;base64,")
                            || start.startsWith("data:image/webp;base64,"));
            if (!link.startsWith("#") && !pixels) throw outside(link);
        }

        private static Refused outside(String what) {
            return new Refused("refers to something outside itself (“"
                    + what.substring(0, Math.min(40, what.length())).strip() + "”), so it was refused");
        }

        private static void checkUrls(String value) throws Refused {
            String small = value.toLowerCase(Locale.ROOT);
            for (int at = small.indexOf("url("); at >= 0; at = small.indexOf("url(", at + 4)) {
                int from = at + 4;
                while (from < small.length()
                        && (Character.isWhitespace(small.charAt(from)) || "\"'".indexOf(small.charAt(from)) >= 0))
                    from++;
                if (from == small.length() || small.charAt(from) != '#') throw outside(value.substring(at));
            }
            if (small.contains("url") && small.indexOf('\\') >= 0) throw outside(value);
        }

        private static void checkCss(String css) throws Refused {
            String small = css.toLowerCase(Locale.ROOT);
            for (String loading : LOADING)
                if (small.contains(loading)) throw outside(css.substring(small.indexOf(loading)));
            checkUrls(css);
        }

        private void styles(String css) throws XMLStreamException, Refused {
            checkCss(css);
            for (String block : css.split("\\}")) {
                String said = block.substring(block.indexOf('{') + 1);
                declarations(said);
                List<String> references = Expansion.references(" " + said);
                if (references.isEmpty()) continue;
                List<String> classes = CLASS.matcher(block.substring(0, block.length() - said.length()))
                        .results()
                        .map(found -> found.group(1))
                        .toList();
                for (String one : classes.isEmpty() ? List.of("") : classes) expansion.rule(one, references);
            }
            out.writeCharacters(css);
        }

        private void declarations(String css) {
            for (String declaration : css.split(";")) {
                int colon = declaration.indexOf(':');
                if (colon > 0 && PAINTS.contains(declaration.substring(0, colon).strip()))
                    paint(declaration.substring(colon + 1));
            }
        }

        private void paint(String written) {
            String value = written.replace("!important", "").strip();
            if (value.equalsIgnoreCase("none")
                    || value.equalsIgnoreCase("currentColor")
                    || paints.size() == MOST_PAINTS) return;
            try {
                paints.add(CssColor.parse(value).argb());
            } catch (IllegalArgumentException noColor) {
                // A paint that is no color, such as a gradient's name.
            }
        }
    }
}
