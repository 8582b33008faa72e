package org.umberloom.core.wish;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.color.Blend;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.ground.Ground;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.TokenPath;

/** Wishes about surfaces and what they stand on. */
public sealed interface SurfaceWish extends Wish {
    /** A further surface with every role of another, in every place that gives that one a role. */
    record AddSurface(TokenPath path, String name) implements SurfaceWish {
        @Override
        public Edit in(Seen seen) {
            TokenPath to = surface(name.trim());
            List<Edit> edits = new ArrayList<>();
            for (Place place : seen.theme().places()) {
                if (seen.theme().at(place).find(to).isPresent())
                    throw new IllegalArgumentException(
                            "There already is a surface “" + name.trim() + "”. Choose another name.");
                seen.theme().at(place).find(path).ifPresent(node -> edits.add(new Edit.Put(place, to, node, -1)));
            }
            if (edits.isEmpty())
                throw new IllegalArgumentException("There is no “" + path + "” whose roles could be taken over.");
            return new Edit.Batch("new surface " + name.trim(), edits);
        }
    }

    /**
     * What a choice of a surface is about, on a surface of its own: with the roles of the one that it stands on, under the name of its
     * part. Where the theme has a surface of that name, that is the one.
     *
     * @param from the group of the surface that it stands on
     */
    record StandAlone(Place place, String choice, TokenPath from) implements SurfaceWish {
        @Override
        public Edit in(Seen seen) {
            Choice known = Optional.ofNullable(Contract.standard().choices().get(choice))
                    .filter(one -> one.stands().isPresent())
                    .orElseThrow(() -> new IllegalArgumentException(
                            "“" + Names.shown(choice) + "” is no choice of what something stands on."));
            List<Edit> edits = new ArrayList<>();
            if (!Surfaces.names(seen.theme()).contains(known.part()))
                edits.add(new AddSurface(from, known.part()).in(seen));
            ThemeDocument with = new Edit.Batch("", edits).applyTo(seen.theme()).theme();
            edits.add(Choices.choose(with, place, choice, Optional.of(Choice.standingOn(known.part()))));
            return new Edit.Batch(known.part() + " on a surface of its own", edits);
        }
    }

    /** A surface with all its roles, gone from every place. */
    record RemoveSurface(TokenPath path) implements SurfaceWish {
        @Override
        public Edit in(Seen seen) {
            if (path.equals(surface(Surfaces.PAGE)))
                throw new IllegalArgumentException("The surface “page” stays: every page stands on it.");
            List<Edit> edits = new ArrayList<>();
            for (Place place : seen.theme().places())
                if (seen.theme().at(place).find(path).isPresent()) edits.add(new Edit.Remove(place, path));
            if (edits.isEmpty()) throw new IllegalArgumentException("There is no “" + path + "” in this theme.");
            edits.addAll(Choices.leaving(seen.theme(), path.name()));
            return new Edit.Batch("remove " + path, edits);
        }
    }

    /** What lies on a surface's color; plain color without. */
    record OnGround(Place place, TokenPath path, Optional<Lying> ground) implements SurfaceWish {
        @Override
        public Edit in(Seen seen) {
            Optional<Group> there = seen.theme().at(place).group(path);
            Optional<Group> around = seen.theme().applying(seen.resolution().combination()).stream()
                    .takeWhile(one -> !one.equals(place))
                    .flatMap(one -> seen.theme().at(one).group(path).stream())
                    .reduce((wider, narrower) ->
                            Ground.readable(narrower).isPresent() || Ground.isPlain(narrower) ? narrower : wider);
            Group surface = there.or(() -> around)
                    .orElseThrow(
                            () -> new IllegalArgumentException("There is no surface “" + path + "” in " + place + "."));
            Optional<Ground> lying = ground.map(one -> one.over(Ground.readable(surface)));
            String label = "Background of " + path.name() + ": "
                    + lying.map(Ground::source).orElse("plain color");
            Meta kept = there.map(Group::meta).orElse(Meta.NONE);
            boolean hides = lying.isEmpty() && around.flatMap(Ground::readable).isPresent();
            Meta said = hides ? Ground.plain(kept) : Ground.with(kept, lying);
            return new Edit.Batch(
                    label,
                    List.of(
                            there.isPresent()
                                    ? new Edit.SetMeta(place, path, said)
                                    : new Edit.Put(place, path, new Group(Map.of(), said), -1)));
        }
    }

    /**
     * What lies on a surface's color, as {@link Ground} describes it; what is left out stays as it lies now, or is as usual for
     * a kind that did not lie there.
     */
    record Lying(
            Optional<String> kind,
            Optional<String> source,
            Optional<String> position,
            Optional<String> repeat,
            Optional<String> size,
            Optional<String> blend,
            Optional<Double> angle,
            Optional<String> role,
            Optional<Boolean> scrim) {
        /** @throws IllegalArgumentException where it is not said what lies there and nothing lies there yet */
        Ground over(Optional<Ground> now) {
            Ground.Kind known = kind.map(Ground.Kind::byId)
                    .or(() -> now.map(Ground::kind))
                    .orElseThrow(() -> new IllegalArgumentException(
                            "Nothing lies on this surface yet: say what kind of ground it is."));
            Optional<Ground> same = now.filter(ground -> ground.kind() == known);
            String from = source.or(() -> same.map(Ground::source))
                    .orElseThrow(
                            () -> new IllegalArgumentException("Say which " + known.id() + " lies on this surface."));
            Ground base = same.orElseGet(() -> Ground.usual(known, from));
            return new Ground(
                    known,
                    from,
                    position.orElse(base.position()),
                    repeat.orElse(base.repeat()),
                    size.orElse(base.size()),
                    blend.map(Blend::byCss).orElse(base.blend()),
                    angle.orElse(base.angle()),
                    role.orElse(base.role()),
                    scrim.orElse(base.scrim()));
        }
    }

    private static TokenPath surface(String name) {
        TokenPath.checkName(name);
        return TokenPath.of(Surfaces.GROUP).child(name);
    }
}
