package org.umberloom.core.page;

import java.util.Arrays;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * The elements and attributes that may stand in pages and drawings from elsewhere: those that say and show something, and neither
 * run, load nor send. Sources: HTML Living Standard, indices of elements and attributes; SVG 2, indices; MathML Core; WAI-ARIA 1.2;
 * RDFa 1.1 and microdata.
 */
public final class KnownMarkup {
    private static final Set<String> PAGE_ELEMENTS = words(
            """
            html head title meta link style body header footer main nav aside section article search hgroup address h1 h2 h3 h4 h5 h6
            p hr pre blockquote ol ul menu li dl dt dd figure figcaption div a em strong small s cite q dfn abbr ruby rb rt rtc rp
            data time code var samp kbd sub sup i b u mark bdi bdo span br wbr ins del img picture source map area table caption
            colgroup col tbody thead tfoot tr td th form label input button select datalist optgroup option textarea output progress
            meter fieldset legend selectedcontent details summary dialog slot noscript center font big tt strike acronym dir basefont
            nobr image listing plaintext xmp""");
    private static final Set<String> FORMULA_ELEMENTS = words(
            """
            math merror mfrac mi mmultiscripts mn mo mover mpadded mphantom mprescripts mroot mrow ms mspace msqrt mstyle msub msubsup
            msup mtable mtd mtext mtr munder munderover semantics annotation none""");

    /** Elements of drawings. */
    public static final Set<String> DRAWN_ELEMENTS = words(
            """
            svg g defs symbol use title desc path rect circle ellipse line polyline polygon text tspan textPath linearGradient
            radialGradient stop pattern clipPath mask marker style image filter feBlend feColorMatrix feComponentTransfer feComposite
            feConvolveMatrix feDiffuseLighting feDisplacementMap feDistantLight feDropShadow feFlood feFuncA feFuncB feFuncG feFuncR
            feGaussianBlur feMerge feMergeNode feMorphology feOffset fePointLight feSpecularLighting feSpotLight feTile feTurbulence""");

    /** Attributes of drawings, without their addresses. */
    public static final Set<String> DRAWN_ATTRIBUTES = words(
            """
            id class style x y x1 y1 x2 y2 cx cy r rx ry fx fy fr d points width height viewBox preserveAspectRatio transform version
            dx dy rotate textLength lengthAdjust startOffset method spacing side pathLength offset gradientUnits gradientTransform
            spreadMethod patternUnits patternContentUnits patternTransform clipPathUnits maskUnits maskContentUnits markerUnits
            markerWidth markerHeight refX refY orient filterUnits primitiveUnits in in2 result mode type values tableValues slope
            intercept amplitude exponent operator k1 k2 k3 k4 order kernelMatrix divisor bias targetX targetY edgeMode preserveAlpha
            surfaceScale diffuseConstant specularConstant specularExponent scale xChannelSelector yChannelSelector azimuth elevation
            stdDeviation radius baseFrequency numOctaves seed stitchTiles z pointsAtX pointsAtY pointsAtZ limitingConeAngle media
            fill fill-opacity fill-rule stroke stroke-width stroke-opacity stroke-linecap stroke-linejoin stroke-miterlimit
            stroke-dasharray stroke-dashoffset opacity color display visibility overflow clip clip-path clip-rule mask filter
            marker-start marker-mid marker-end stop-color stop-opacity flood-color flood-opacity lighting-color font-family font-size
            font-style font-weight font-stretch font-variant text-anchor text-decoration letter-spacing word-spacing dominant-baseline
            alignment-baseline baseline-shift writing-mode direction color-interpolation color-interpolation-filters color-rendering
            shape-rendering text-rendering image-rendering paint-order vector-effect mix-blend-mode isolation role aria-label
            aria-hidden lang""");

    private static final Set<String> PAGE_ATTRIBUTES = words(
            """
            id class lang dir title role hidden tabindex style accesskey translate draggable spellcheck contenteditable inputmode
            enterkeyhint autocapitalize autocorrect writingsuggestions inert popover popovertarget popovertargetaction slot part
            itemscope itemtype itemid itemprop itemref vocab typeof property resource prefix about datatype inlist rev
            name content charset property media rel hreflang target download type as sizes color blocking
            alt width height loading decoding fetchpriority usemap ismap shape coords longdesc border align valign hspace vspace
            cite datetime value reversed start compact clear noshade size face
            abbr span colspan rowspan headers scope char charoff axis bgcolor nowrap cellpadding cellspacing frame rules summary
            for form list placeholder required disabled checked selected multiple readonly maxlength minlength pattern min max step
            rows cols wrap label autocomplete autofocus dirname accept accept-charset enctype method novalidate low high optimum
            open closedby command commandfor text link vlink alink
            display mathvariant mathsize mathcolor mathbackground displaystyle scriptlevel form fence separator stretchy symmetric
            maxsize minsize largeop movablelimits accent accentunder lspace rspace linethickness columnspan rowspacing columnspacing
            columnalign rowalign columnlines rowlines depth voffset notation encoding intent arg
            version xmlns""");

    /** Attributes that name an address; what may stand in them is asked of {@link PageAddress}. */
    static final Set<String> ADDRESSES = words("href src background cite longdesc action xlink:href usemap");

    private static final Set<String> SAYING = words("id class role lang aria-label aria-hidden");

    private static final Set<String> SMALL_DRAWN_ELEMENTS = small(DRAWN_ELEMENTS);
    private static final Set<String> SMALL_DRAWN_ATTRIBUTES = small(DRAWN_ATTRIBUTES);
    private static final Pattern OWN_ELEMENT = Pattern.compile("[a-z][a-z0-9._]*-[a-z0-9._-]*");
    private static final Pattern OPEN = Pattern.compile("(aria|data)-[a-z0-9_.:-]+|xml:(lang|space)|xmlns:[a-z]+");

    private KnownMarkup() {}

    private static Set<String> words(String text) {
        return Set.copyOf(new HashSet<>(Arrays.asList(text.trim().split("\\s+"))));
    }

    private static Set<String> small(Set<String> names) {
        Set<String> small = new HashSet<>();
        names.forEach(name -> small.add(name.toLowerCase(Locale.ROOT)));
        return Set.copyOf(small);
    }

    /** Elements of a page, also such as nobody knows but the page itself: without scripts these are nothing but boxes. */
    static boolean isElement(String name) {
        return PAGE_ELEMENTS.contains(name)
                || SMALL_DRAWN_ELEMENTS.contains(name)
                || FORMULA_ELEMENTS.contains(name)
                || OWN_ELEMENT.matcher(name).matches();
    }

    /** Whether an attribute of a drawing says how something is painted, rather than what it is called. */
    static boolean paints(String name) {
        return SMALL_DRAWN_ATTRIBUTES.contains(name) && !SAYING.contains(name) || name.equals("cursor");
    }

    /** Whether it is an element of drawings and of nothing else. */
    static boolean isDrawn(String name) {
        return SMALL_DRAWN_ELEMENTS.contains(name) && !PAGE_ELEMENTS.contains(name);
    }

    /** @param name in small letters */
    static boolean isAttribute(String name) {
        return PAGE_ATTRIBUTES.contains(name)
                || SMALL_DRAWN_ATTRIBUTES.contains(name)
                || ADDRESSES.contains(name)
                || OPEN.matcher(name).matches();
    }
}
