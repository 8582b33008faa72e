package org.umberloom.kit.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.NodeList;

/**
 * What vector pictures are attacked with: each is refused with a sentence, or what is kept of it can neither run, load nor lead
 * anywhere. The kinds are those of the talk “The image that called me” (M. Heiderich, OWASP AppSec 2011) and of the OWASP cheat
 * sheets on cross-site scripting, XML external entities and file upload; they are named from memory, the files are written here.
 */
class HostileVectorPicturesTest {
    private static final String NS =
            "xmlns=\"http://www.w3.org/2000/svg\" xmlns:xlink=\"http://www.w3.org/1999/xlink\"";

    static List<String> attacks() {
        return List.of(
                // Script, plainly, by another prefix, from elsewhere, in a CDATA section.
                svg("<script>alert(1)</script>"),
                "<x:svg xmlns:x=\"http://www.w3.org/2000/svg\"><x:script>alert(1)</x:script></x:svg>",
                svg("<script xlink:href=\"https://evil.example/x.js\"/>"),
                svg("<script><![CDATA[alert(1)]]></script>"),
                svg("<script href=\"data:text/javascript,alert(1)\"/>"),
                // Handlers of events, on the root, on shapes, in other letters, of animations.
                "<svg " + NS + " onload=\"alert(1)\"><rect width=\"1\" height=\"1\"/></svg>",
                svg("<rect width=\"1\" height=\"1\" onclick=\"alert(1)\" onmouseover=\"alert(1)\"/>"),
                svg("<g onfocusin=\"alert(1)\" tabindex=\"0\"/>"),
                svg("<animate attributeName=\"x\" onbegin=\"alert(1)\" dur=\"1s\"/>"),
                svg("<handler type=\"text/javascript\">alert(1)</handler>"),
                svg("<listener event=\"load\" handler=\"#h\"/>"),
                // Links that run something, also such as are only set by an animation.
                svg("<a xlink:href=\"javascript:alert(1)\"><rect width=\"9\" height=\"9\"/></a>"),
                svg("<a href=\"java&#x0a;script:alert(1)\"><text>x</text></a>"),
                svg("<a><set attributeName=\"href\" to=\"javascript:alert(1)\"/><text>x</text></a>"),
                svg("<animate xlink:href=\"#a\" attributeName=\"href\" values=\"javascript:alert(1)\"/>"),
                // Pages within.
                svg(
                        "<foreignObject><iframe xmlns=\"http://www.w3.org/1999/xhtml\" src=\"javascript:alert(1)\"/></foreignObject>"),
                svg(
                        "<foreignObject><body xmlns=\"http://www.w3.org/1999/xhtml\" onload=\"alert(1)\"/></foreignObject>"),
                svg("<embed xmlns=\"http://www.w3.org/1999/xhtml\" src=\"https://evil.example/\"/>"),
                // What is loaded from elsewhere.
                svg("<image width=\"9\" height=\"9\" xlink:href=\"https://evil.example/pixel.png\"/>"),
                svg("<image width=\"9\" height=\"9\" href=\"data:image/svg+xml,&lt;svg onload='alert(1)'/&gt;\"/>"),
                svg("<use xlink:href=\"https://evil.example/a.svg#a\"/>"),
                svg("<use href=\"data:image/svg+xml;base64,PHN2Zy8+#a\"/>"),
                svg("<filter id=\"f\"><feImage xlink:href=\"https://evil.example/x.png\"/></filter>"),
                svg("<rect width=\"9\" height=\"9\" fill=\"url(https://evil.example/a.svg#p)\"/>"),
                svg("<rect width=\"9\" height=\"9\" style=\"fill: url(//evil.example/a.svg#p)\"/>"),
                svg("<style>@import 'https://evil.example/a.css';</style>"),
                svg("<style>rect { background: url('https://evil.example/x') }</style>"),
                svg("<style>rect { fill: u\\72l(https://evil.example/x) }</style>"),
                svg("<style>@font-face { font-family: x; src: url(https://evil.example/x.woff) }</style>"),
                "<?xml-stylesheet type=\"text/css\" href=\"https://evil.example/a.css\"?>" + svg("<rect/>"),
                "<?xml-stylesheet type=\"text/xsl\" href=\"#x\"?>" + svg("<rect/>"),
                // Entities: files of the server, one that grows, one that is not declared.
                "<!DOCTYPE svg [<!ENTITY f SYSTEM \"file:///etc/passwd\">]>" + svg("<text>&f;</text>"),
                "<!DOCTYPE svg SYSTEM \"https://evil.example/x.dtd\">" + svg("<text>&f;</text>"),
                "<!DOCTYPE svg [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;&a;&a;&a;&a;\"><!ENTITY c \"&b;&b;&b;&b;&b;\">]>"
                        + svg("<text>&c;</text>"),
                "<!DOCTYPE svg [<!ENTITY % p SYSTEM \"http://127.0.0.1/\"> %p;]>" + svg("<rect/>"),
                // Parts that use themselves, and a picture of a page that is none.
                svg("<g id=\"a\"><use href=\"#a\"/></g>"),
                "<html><body onload=\"alert(1)\"><svg " + NS + "/></body></html>",
                "<svg " + NS + " xml:base=\"javascript:alert(1)//\"><a href=\"#\"><text>x</text></a></svg>");
    }

    /** Ten times ten, eleven levels deep, by what the levels refer to with: two kilobytes, a hundred thousand million elements. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "<use href='#l%d'/>",
                "<use xlink:href=' #l%d '/>",
                "<rect mask='url(#l%d)'/>",
                "<rect style='fill: url( \"#l%d\" )'/>",
                "<rect class='c%d'/>"
            })
    void whatGrowsByPowersIsRefused(String reference) {
        StringBuilder picture = new StringBuilder("<g id='l0'><rect width='1' height='1'/></g>");
        StringBuilder rules = new StringBuilder();
        for (int level = 1; level < 12; level++) {
            picture.append("<g id='l")
                    .append(level)
                    .append("'>")
                    .append(reference.formatted(level - 1).repeat(10))
                    .append("</g>");
            rules.append(".c")
                    .append(level - 1)
                    .append(" { mask: url(#l")
                    .append(level - 1)
                    .append(") }");
        }
        String whole = svg(picture + "<style>" + rules + "</style>");
        assertThat(whole.length()).isLessThan(5_000);
        assertThatThrownBy(() -> new PictureReader().read(whole.getBytes(StandardCharsets.UTF_8)))
                .hasMessageContaining("comes to more than 200000 elements")
                .hasMessageContaining("It was not kept");
    }

    private static String svg(String within) {
        return "<svg " + NS + " viewBox=\"0 0 9 9\">" + within + "</svg>";
    }

    @ParameterizedTest
    @MethodSource("attacks")
    void isRefusedOrMadeHarmless(String attack) throws Exception {
        byte[] kept;
        try {
            kept = new PictureReader()
                    .read(attack.getBytes(StandardCharsets.UTF_8))
                    .content();
        } catch (IllegalArgumentException refused) {
            assertThat(refused).hasMessageContaining("It was not kept");
            return;
        }
        String text = new String(kept, StandardCharsets.UTF_8);
        assertThat(text).doesNotContain("<!DOCTYPE", "<?xml-stylesheet", "evil.example", "root:");
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        harmless(factory.newDocumentBuilder()
                .parse(new ByteArrayInputStream(kept))
                .getDocumentElement());
    }

    private static void harmless(Element element) {
        assertThat(element.getNamespaceURI()).isEqualTo("http://www.w3.org/2000/svg");
        assertThat(element.getLocalName())
                .isNotIn("script", "foreignObject", "a", "animate", "set", "handler", "listener", "feImage");
        for (int i = 0; i < element.getAttributes().getLength(); i++) {
            Node attribute = element.getAttributes().item(i);
            String value = attribute.getNodeValue().toLowerCase(Locale.ROOT);
            assertThat(attribute.getNodeName().toLowerCase(Locale.ROOT))
                    .doesNotStartWith("on")
                    .isNotEqualTo("xml:base");
            assertThat(value).doesNotContain("javascript", "data:text", "data:image/svg");
            if ("href".equals(attribute.getLocalName())
                    && !element.getLocalName().equals("image"))
                assertThat(value).startsWith("#");
            assertThat(value.replaceAll("url\\(['\"]?#", "")).doesNotContain("url(");
        }
        NodeList children = element.getChildNodes();
        for (int i = 0; i < children.getLength(); i++) if (children.item(i) instanceof Element child) harmless(child);
    }

    @Test
    void aPictureThatIsNoneOfThisStaysWhatItIs() {
        String fine = svg("<defs><path id=\"p\" d=\"M0 0h9\"/></defs><use href=\"#p\" stroke=\"#1c6076\"/>");
        assertThat(new String(
                        new PictureReader()
                                .read(fine.getBytes(StandardCharsets.UTF_8))
                                .content(),
                        StandardCharsets.UTF_8))
                .contains("#p", "#1c6076", "M0 0h9");
    }
}
