package embercup.server.brews;

import embercup.core.materia.Form;
import embercup.server.platform.Fields;
import embercup.server.shelf.TakenFromTins;
import java.sql.Timestamp;
import java.util.List;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What brews took out of tins: of everything that was started and not given up, what its plan measured out. */
@Component
class HerbsTaken implements TakenFromTins {

    private final JdbcClient jdbc;

    HerbsTaken(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Taken> taken(List<Since> of, Set<String> blendsInJars) {
        // One question for the whole shelf, and each plan is opened once: it grows with the brews since the oldest tin,
        // not with
        // brews times tins.
        return jdbc.sql("""
                        with w as (
                            select herb, form, at, n
                            from unnest(cast(:herbs as text[]), cast(:forms as text[]), cast(:ats as timestamptz[]))
                                with ordinality w(herb, form, at, n)),
                        measured as materialized (
                            select b.id, b.started_at, a.grams, (a."highG" - a."lowG") / 2 as spread,
                                case when a.blend ->> 'slug' = any(cast(:blends as text[])) then a.blend ->> 'slug' else a.herb end as herb,
                                case when a.blend ->> 'slug' = any(cast(:blends as text[])) then :blendForm else a.form end as form
                            from brew b cross join lateral jsonb_to_recordset(b.plan -> 'additions')
                                a(herb text, form text, grams double precision, "lowG" double precision, "highG" double precision, blend jsonb)
                            where b.started_at >= (select min(at) from w) and b.phase in ('running', 'finished')
                                and b.clock_real is null
                                and jsonb_exists_any(b.herbs, (select array_agg(herb) from w)))
                        select coalesce(sum(m.grams), 0), coalesce(sqrt(sum(power(m.spread, 2))), 0), count(distinct m.id)
                        from w left join measured m on m.herb = w.herb and m.form = w.form and m.started_at >= w.at
                        group by w.n order by w.n""")
                .param("blends", blendsInJars.toArray(String[]::new))
                .param("blendForm", Fields.code(Form.DRIED))
                .param("herbs", of.stream().map(Since::herb).toArray(String[]::new))
                .param("forms", of.stream().map(s -> Fields.code(s.form())).toArray(String[]::new))
                .param("ats", of.stream().map(s -> Timestamp.from(s.at())).toArray(Timestamp[]::new))
                .query((row, n) -> new Taken(row.getDouble(1), row.getDouble(2), row.getInt(3)))
                .list();
    }
}
