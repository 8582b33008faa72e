package org.umberloom.core.css;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;

/** Stacks of families in which each that has a stand-in is followed by it. */
public final class Stacks {
    private final Map<String, String> followed;

    /** @param families that have stand-ins */
    public Stacks(Collection<String> families) {
        followed = families.stream()
                .distinct()
                .collect(Collectors.toMap(CssText::family, family -> CssText.family(FontFace.standIn(family))));
    }

    /** Blocks of properties; those that hold no such stack are the same. */
    public Map<String, Map<String, String>> in(Map<String, Map<String, String>> blocks) {
        if (followed.isEmpty()) return blocks;
        Map<String, Map<String, String>> all = new LinkedHashMap<>(blocks);
        all.replaceAll((block, properties) -> {
            Map<String, String> changed = null;
            for (Map.Entry<String, String> property : properties.entrySet()) {
                String with = in(property.getValue());
                if (with.equals(property.getValue())) continue;
                if (changed == null) changed = new LinkedHashMap<>(properties);
                changed.put(property.getKey(), with);
            }
            return changed == null ? properties : changed;
        });
        return all;
    }

    private String in(String value) {
        int comma = value.indexOf(',');
        String standIn = comma < 0 ? followed.get(value) : followed.get(value.substring(0, comma));
        if (standIn == null) return value;
        return comma < 0 ? value + ", " + standIn : value.substring(0, comma) + ", " + standIn + value.substring(comma);
    }
}
