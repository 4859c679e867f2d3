using System;
using System.Collections.Generic;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Npgsql.EntityFrameworkCore.PostgreSQL.Metadata;

#nullable disable

namespace VerdantSieve.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(SieveContext))]
    [Migration("20261126195448_Notebooks")]
    public class Notebooks : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "outing_id",
                table: "looks",
                type: "text",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "is_latest",
                table: "looks",
                type: "boolean",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<string>(
                name: "tree_id",
                table: "looks",
                type: "text",
                nullable: false,
                defaultValue: "");

            migrationBuilder.CreateTable(
                name: "letters",
                columns: table => new
                {
                    id = table.Column<int>(type: "integer", nullable: false)
                        .Annotation("Npgsql:ValueGenerationStrategy", NpgsqlValueGenerationStrategy.IdentityByDefaultColumn),
                    to = table.Column<string>(type: "text", nullable: false),
                    subject = table.Column<string>(type: "text", nullable: false),
                    text = table.Column<string>(type: "text", nullable: false),
                    at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_letters", x => x.id);
                });

            migrationBuilder.CreateTable(
                name: "outings",
                columns: table => new
                {
                    id = table.Column<string>(type: "text", nullable: false),
                    owner = table.Column<string>(type: "text", nullable: false),
                    title = table.Column<string>(type: "text", nullable: false),
                    date = table.Column<DateOnly>(type: "date", nullable: true),
                    who = table.Column<string>(type: "text", nullable: false),
                    weather = table.Column<string>(type: "text", nullable: false),
                    access = table.Column<string>(type: "text", nullable: false),
                    hazards = table.Column<string>(type: "text", nullable: false),
                    track = table.Column<string>(type: "jsonb", nullable: false),
                    is_demo = table.Column<bool>(type: "boolean", nullable: false),
                    created = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    discarded = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_outings", x => x.id);
                });

            migrationBuilder.CreateTable(
                name: "pictures",
                columns: table => new
                {
                    id = table.Column<string>(type: "text", nullable: false),
                    look_id = table.Column<string>(type: "text", nullable: false),
                    caption = table.Column<string>(type: "text", nullable: false),
                    bytes = table.Column<byte[]>(type: "bytea", nullable: false),
                    small = table.Column<byte[]>(type: "bytea", nullable: false),
                    width = table.Column<int>(type: "integer", nullable: false),
                    height = table.Column<int>(type: "integer", nullable: false),
                    latitude = table.Column<double>(type: "double precision", nullable: true),
                    longitude = table.Column<double>(type: "double precision", nullable: true),
                    elevation = table.Column<double>(type: "double precision", nullable: true),
                    taken = table.Column<DateTime>(type: "timestamp without time zone", nullable: true),
                    at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    discarded = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_pictures", x => x.id);
                    table.ForeignKey(
                        name: "fk_pictures_looks_look_id",
                        column: x => x.look_id,
                        principalTable: "looks",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "shares",
                columns: table => new
                {
                    owner = table.Column<string>(type: "text", nullable: false),
                    with = table.Column<string>(type: "text", nullable: false),
                    may = table.Column<string>(type: "text", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_shares", x => new { x.owner, x.with });
                    table.ForeignKey(
                        name: "fk_shares_asp_net_users_owner",
                        column: x => x.owner,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_shares_asp_net_users_with",
                        column: x => x.with,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "trees",
                columns: table => new
                {
                    id = table.Column<string>(type: "text", nullable: false),
                    owner = table.Column<string>(type: "text", nullable: false),
                    flora_id = table.Column<string>(type: "text", nullable: false),
                    details = table.Column<string>(type: "jsonb", nullable: false, defaultValueSql: "'{}'::jsonb"),
                    tag = table.Column<string>(type: "text", nullable: false),
                    is_sensitive = table.Column<bool>(type: "boolean", nullable: false),
                    sex = table.Column<int>(type: "integer", nullable: true),
                    due_from = table.Column<DateOnly>(type: "date", nullable: true),
                    due_to = table.Column<DateOnly>(type: "date", nullable: true),
                    due_settles = table.Column<double>(type: "double precision", nullable: true),
                    before = table.Column<string>(type: "jsonb", nullable: true),
                    edition = table.Column<int>(type: "integer", nullable: false),
                    latitude = table.Column<double>(type: "double precision", nullable: true),
                    longitude = table.Column<double>(type: "double precision", nullable: true),
                    elevation = table.Column<double>(type: "double precision", nullable: true),
                    name = table.Column<string>(type: "text", nullable: true),
                    rank = table.Column<string>(type: "text", nullable: true),
                    probability = table.Column<double>(type: "double precision", nullable: true),
                    is_disputed = table.Column<bool>(type: "boolean", nullable: false),
                    batch = table.Column<string>(type: "text", nullable: true),
                    is_demo = table.Column<bool>(type: "boolean", nullable: false),
                    created = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    changed = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    discarded = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_trees", x => x.id);
                });

            migrationBuilder.CreateTable(
                name: "opinions",
                columns: table => new
                {
                    id = table.Column<int>(type: "integer", nullable: false)
                        .Annotation("Npgsql:ValueGenerationStrategy", NpgsqlValueGenerationStrategy.IdentityByDefaultColumn),
                    tree_id = table.Column<string>(type: "text", nullable: false),
                    look_id = table.Column<string>(type: "text", nullable: true),
                    kind = table.Column<string>(type: "text", nullable: false),
                    name = table.Column<string>(type: "text", nullable: false),
                    rank = table.Column<string>(type: "text", nullable: true),
                    probability = table.Column<double>(type: "double precision", nullable: true),
                    qualifier = table.Column<string>(type: "text", nullable: true),
                    reasons = table.Column<string>(type: "text", nullable: false),
                    readings = table.Column<List<string>>(type: "text[]", nullable: false),
                    flora_edition = table.Column<int>(type: "integer", nullable: false),
                    from = table.Column<string>(type: "text", nullable: false),
                    by = table.Column<string>(type: "text", nullable: false),
                    at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    withdrawn = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_opinions", x => x.id);
                    table.ForeignKey(
                        name: "fk_opinions_looks_look_id",
                        column: x => x.look_id,
                        principalTable: "looks",
                        principalColumn: "id",
                        onDelete: ReferentialAction.SetNull);
                    table.ForeignKey(
                        name: "fk_opinions_trees_tree_id",
                        column: x => x.tree_id,
                        principalTable: "trees",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            // Every look so far was the first visit to a tree, kept on a machine of one's own; the demonstration's are loaded anew.
            migrationBuilder.Sql(
                """
                delete from looks where is_demo;
                update looks set tree_id = id, is_latest = true;
                insert into trees (id, owner, flora_id, tag, is_sensitive, edition, name, rank, probability, is_disputed, is_demo, created, changed)
                select id, 'here', flora_id, '', false, 0, determination_name, determination_rank, determination_probability, false, false,
                    created, changed
                from looks;
                insert into opinions (tree_id, look_id, kind, name, rank, probability, reasons, readings, flora_edition, "from", "by", at)
                select look.id, look.id, 'Determined', look.determination_name, look.determination_rank, look.determination_probability,
                    coalesce(step.content -> 'determined' ->> 'sentence', ''), '{}',
                    coalesce((step.content -> 'determined' ->> 'floraEdition')::int, 0), 'here', look.observer, look.changed
                from looks look
                join look_steps step on step.look_id = look.id and step.number = look.cursor
                where look.determination_name is not null;
                """);

            migrationBuilder.DropColumn(
                name: "determination_probability",
                table: "looks");

            migrationBuilder.DropColumn(
                name: "determination_rank",
                table: "looks");

            migrationBuilder.CreateIndex(
                name: "ix_looks_outing_id",
                table: "looks",
                column: "outing_id");

            migrationBuilder.CreateIndex(
                name: "ix_looks_tree_id",
                table: "looks",
                column: "tree_id");

            migrationBuilder.CreateIndex(
                name: "ix_opinions_look_id",
                table: "opinions",
                column: "look_id");

            migrationBuilder.CreateIndex(
                name: "ix_opinions_tree_id",
                table: "opinions",
                column: "tree_id");

            migrationBuilder.CreateIndex(
                name: "ix_outings_owner",
                table: "outings",
                column: "owner");

            migrationBuilder.CreateIndex(
                name: "ix_pictures_look_id",
                table: "pictures",
                column: "look_id");

            migrationBuilder.CreateIndex(
                name: "ix_shares_with",
                table: "shares",
                column: "with");

            migrationBuilder.CreateIndex(
                name: "ix_trees_owner_discarded",
                table: "trees",
                columns: new[] { "owner", "discarded" });

            migrationBuilder.AddForeignKey(
                name: "fk_looks_outings_outing_id",
                table: "looks",
                column: "outing_id",
                principalTable: "outings",
                principalColumn: "id",
                onDelete: ReferentialAction.SetNull);

            migrationBuilder.AddForeignKey(
                name: "fk_looks_trees_tree_id",
                table: "looks",
                column: "tree_id",
                principalTable: "trees",
                principalColumn: "id",
                onDelete: ReferentialAction.Cascade);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropForeignKey(
                name: "fk_looks_outings_outing_id",
                table: "looks");

            migrationBuilder.DropForeignKey(
                name: "fk_looks_trees_tree_id",
                table: "looks");

            migrationBuilder.DropTable(
                name: "letters");

            migrationBuilder.DropTable(
                name: "opinions");

            migrationBuilder.DropTable(
                name: "outings");

            migrationBuilder.DropTable(
                name: "pictures");

            migrationBuilder.DropTable(
                name: "shares");

            migrationBuilder.DropTable(
                name: "trees");

            migrationBuilder.DropIndex(
                name: "ix_looks_outing_id",
                table: "looks");

            migrationBuilder.DropIndex(
                name: "ix_looks_tree_id",
                table: "looks");

            migrationBuilder.DropColumn(
                name: "is_latest",
                table: "looks");

            migrationBuilder.DropColumn(
                name: "tree_id",
                table: "looks");

            migrationBuilder.DropColumn(
                name: "outing_id",
                table: "looks");

            migrationBuilder.AddColumn<string>(
                name: "determination_rank",
                table: "looks",
                type: "text",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "determination_probability",
                table: "looks",
                type: "double precision",
                nullable: true);
        }
    }
}
